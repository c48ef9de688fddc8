package homalon.core.cut;

import homalon.core.face.FaceMap;
import homalon.core.geometry.Box;
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
     * @param shimStep of the shop's stock
     */
    public record Question(Points points, boolean[] sealing, FaceMap map, Optional<Plane> thickness, Length shimStep) {}

    private final Question question;
    private final List<Spot> supports;
    private final List<Removal> removals;

    private Comparison(Question question, List<Spot> supports, List<Removal> removals) {
        this.question = question;
        this.supports = supports;
        this.removals = removals;
    }

    /** @throws homalon.core.input.BadInputException when fewer than three places seal, or all on one line */
    public static Comparison of(Question question) {
        Points points = question.points();
        Layout layout = question.map().land().layout();
        List<Spot> supports = supports(layout.box());
        Optional<Slopes> reference =
                question.thickness().map(t -> Slopes.ofReference(LeastSquaresPlane.fit(points), t));
        List<SetUp> setUps = SetUps.of(
                points,
                new SetUpSettings(
                        question.sealing(),
                        supports,
                        nearestToCorners(points, layout),
                        reference,
                        question.shimStep().mm(),
                        new double[0]));
        double least = setUps.get(0).depth();
        List<Removal> removals = setUps.stream()
                .map(s -> Removal.of(
                        s, least, question.map(), points.range(s.onShims()).most(), reference))
                .toList();
        return new Comparison(question, supports, removals);
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
        return supports;
    }

    public Length shimStep() {
        return question.shimStep();
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

    /** Two supports under one long edge, the third under the middle of the other. */
    private static List<Spot> supports(Box box) {
        double in = Math.min(25, box.height() * 0.18);
        return List.of(
                new Spot(box.x0() + in, box.y0() + in),
                new Spot(box.x1() - in, box.y0() + in),
                new Spot((box.x0() + box.x1()) / 2, box.y1() - in));
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
