package homalon.core.cut;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import java.util.ArrayList;
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
    public record Question(Points points, boolean[] sealing, FaceMap map, Optional<Plane> thickness, Footing footing) {}

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
        double least = setUps.get(0).depth();
        List<Removal> removals = setUps.stream()
                .map(s -> Removal.of(
                        s, least, question.map(), points.range(s.onShims()).most(), reference))
                .toList();
        return new Comparison(question, removals);
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
            Points points, boolean[] sealing, Layout layout, Optional<Plane> thickness, Footing footing) {
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

    public Optional<Removal> with(School school) {
        return removals.stream().filter(r -> r.setUp().school() == school).findFirst();
    }

    /** Where the casting stands: A, B, C, ... */
    public List<Spot> supports() {
        return question.footing().supports();
    }

    public Footing footing() {
        return question.footing();
    }

    public FaceMap map() {
        return question.map();
    }

    public Layout layout() {
        return question.map().land().layout();
    }

    /** Share of the land foretold clean after so much in all from first touch, 0 to 1; nothing is clean before the first cut. */
    public double cleanShare(Removal removal, Length total) {
        return total.signum() == 0 ? 0 : question.map().share(removal.heights(), removal.downTo(total));
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
        while (nearest.size() < 3 || points.pick(toArray(nearest)).onOneLine() && nearest.size() < 4) {
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
