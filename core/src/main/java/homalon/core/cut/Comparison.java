package homalon.core.cut;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;

/** One face in every set-up side by side, each with what it takes off where. Immutable. */
public final class Comparison {

    /**
     * @param points every place that was read
     * @param sealing one flag per point
     * @param map through the points
     * @param thickness plane of the thickness, when it was read: makes the parallel set-up possible
     * @param footing what it stands on
     */
    public record Question(
            Points points, boolean[] sealing, FaceMap map, Optional<Plane> thickness, Supports footing) {}

    private final Question question;
    private final List<Removal> removals;

    private Comparison(Question question, List<Removal> removals) {
        this.question = question;
        this.removals = removals;
    }

    /** @throws homalon.core.input.BadInputException when fewer than three places seal, or all on one line */
    public static Comparison of(Question question) {
        Points points = question.points();
        Optional<Slopes> reference = reference(points, question.thickness());
        List<SetUp> setUps = setUps(
                points, question.sealing(), question.map().land().layout(), question.thickness(), question.footing());
        List<SetUp> onMap = setUps.stream().map(s -> onMap(s, question)).toList();
        // By what is really cut, shims and all: the least of the wished ones may lose by rounding.
        double least = onMap.stream().mapToDouble(SetUp::toClean).min().orElseThrow();
        List<Removal> removals = onMap.stream()
                .map(s -> Removal.of(s, least, question.map(), highest(s.onShims(), question), reference))
                .toList();
        return new Comparison(question, removals);
    }

    /**
     * The set-ups as {@link #of} has them, without what each takes off where.
     *
     * @throws homalon.core.input.BadInputException when fewer than three places seal, or all on one line
     */
    public static List<SetUp> setUps(Question question) {
        return setUps(
                        question.points(),
                        question.sealing(),
                        question.map().land().layout(),
                        question.thickness(),
                        question.footing())
                .stream()
                .map(s -> onMap(s, question))
                .toList();
    }

    private static SetUp onMap(SetUp s, Question q) {
        Plane plane = s.onShims();
        Raster heights = q.map().heightsAbove(plane);
        double above = highest(plane, heights, q) - q.points().range(plane).most();
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < q.points().size(); i++) {
            lowest = q.sealing()[i] ? Math.min(lowest, q.points().above(plane, i)) : lowest;
        }
        return s.onMap(above, Math.max(0, lowest - lowestOfBands(heights, q)));
    }

    private static double highest(Plane plane, Question q) {
        return highest(plane, q.map().heightsAbove(plane), q);
    }

    /** The highest metal: of the map's land, of the places, and at the corners of the outline. */
    private static double highest(Plane plane, Raster heights, Question q) {
        double highest = q.points().range(plane).most();
        for (int j = 0; j < heights.rows(); j++) {
            for (int i = 0; i < heights.columns(); i++) {
                if (q.map().land().isLand(heights, i, j)) {
                    highest = Math.max(highest, heights.get(i, j));
                }
            }
        }
        for (Spot corner : q.map().land().layout().corners()) {
            highest = Math.max(highest, q.map().above(plane, corner.x(), corner.y()));
        }
        return highest;
    }

    /** The lowest metal of the bands that seal; what lies nearest to a place marked as not sealing is left out. */
    private static double lowestOfBands(Raster heights, Question q) {
        BitSet bands = bands(q);
        double lowest = Double.POSITIVE_INFINITY;
        for (int n = bands.nextSetBit(0); n >= 0; n = bands.nextSetBit(n + 1)) {
            lowest = Math.min(lowest, heights.get(n % heights.columns(), n / heights.columns()));
        }
        return lowest;
    }

    private static BitSet bands(Question q) {
        BitSet bands = q.map().land().sealing();
        boolean all = true;
        for (boolean seals : q.sealing()) {
            all &= seals;
        }
        if (all) {
            return bands;
        }
        Raster grid = q.map().land().grid();
        for (int n = bands.nextSetBit(0); n >= 0; n = bands.nextSetBit(n + 1)) {
            Spot spot = new Spot(grid.x(n % grid.columns()), grid.y(n / grid.columns()));
            bands.set(n, q.sealing()[nearest(q.points(), spot)]);
        }
        return bands;
    }

    private static int nearest(Points points, Spot spot) {
        int best = 0;
        for (int i = 1; i < points.size(); i++) {
            best = points.spot(i).distance(spot) < points.spot(best).distance(spot) ? i : best;
        }
        return best;
    }

    /**
     * The set-ups alone, without what each takes off where.
     *
     * @param points every place that was read
     * @param sealing one flag per point
     * @param thickness plane of the thickness, when it was read
     * @throws homalon.core.input.BadInputException when fewer than three places seal, or all on one line
     */
    public static List<SetUp> setUps(
            Points points, boolean[] sealing, Layout layout, Optional<Plane> thickness, Supports footing) {
        return SetUps.of(
                points,
                new SetUpSettings(
                        sealing,
                        footing,
                        nearestToCorners(points, layout),
                        reference(points, thickness),
                        new double[0]));
    }

    private static Optional<Slopes> reference(Points points, Optional<Plane> thickness) {
        return thickness.map(t -> Slopes.ofReference(LeastSquaresPlane.fit(points), t));
    }

    /** Least removal first; parallel is missing when the thickness was not read. */
    public List<Removal> removals() {
        return removals;
    }

    public Optional<Removal> with(SetUpMethod school) {
        return removals.stream().filter(r -> r.setUp().school() == school).findFirst();
    }

    /** Where the casting stands: A, B, C, ... */
    public List<Spot> supports() {
        return question.footing().supports();
    }

    public Supports footing() {
        return question.footing();
    }

    public FaceMap map() {
        return question.map();
    }

    public Layout layout() {
        return question.map().land().layout();
    }

    /** Share of the land expected clean after so much in all from first touch, 0 to 1; nothing is clean before the first cut. */
    public double cleanShare(Removal removal, Length total) {
        return total.signum() == 0 ? 0 : question.map().share(removal.heights(), removal.downTo(total));
    }

    /** Share of the bands that seal, expected clean after so much in all from first touch, 0 to 1. */
    public double sealedShare(Removal removal, Length total) {
        if (total.signum() == 0) {
            return 0;
        }
        BitSet bands = bands(question);
        double down = removal.downTo(total);
        Raster heights = removal.heights();
        long clean = bands.stream()
                .filter(n -> heights.get(n % heights.columns(), n / heights.columns()) >= down - 1e-9)
                .count();
        return bands.isEmpty() ? cleanShare(removal, total) : (double) clean / bands.cardinality();
    }

    /** The measured places nearest to the four corners; when two corners share one, what else stands furthest off them. */
    private static int[] nearestToCorners(Points points, Layout layout) {
        List<Integer> nearest = new ArrayList<>();
        for (Spot corner : layout.corners()) {
            int best = 0;
            for (int i = 1; i < points.size(); i++) {
                best = points.spot(i).distance(corner) < points.spot(best).distance(corner) ? i : best;
            }
            if (!nearest.contains(best)) {
                nearest.add(best);
            }
        }
        while (nearest.size() < 3 || (points.pick(toArray(nearest)).onOneLine() && nearest.size() < 4)) {
            nearest.add(furthestOff(points, nearest));
        }
        return toArray(nearest);
    }

    /** Widens the triangle most: the point with the greatest area against the first and last of those chosen. */
    private static int furthestOff(Points points, List<Integer> chosen) {
        Spot a = points.spot(chosen.get(0));
        Spot b = points.spot(chosen.get(chosen.size() - 1));
        int best = -1;
        double most = -1;
        for (int i = 0; i < points.size(); i++) {
            Spot p = points.spot(i);
            double area = a.equals(b)
                    ? p.distance(a)
                    : Math.abs((b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x()));
            if (!chosen.contains(i) && area > most) {
                most = area;
                best = i;
            }
        }
        return best;
    }

    private static int[] toArray(List<Integer> indices) {
        return indices.stream().mapToInt(Integer::intValue).toArray();
    }
}
