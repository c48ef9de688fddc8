package homalon.core.cut;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.geometry.Spread;
import homalon.core.input.Problems;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.rulebook.ShimStock;
import java.util.ArrayList;
import java.util.List;

/**
 * What a casting stands on: places of its supports A, B, C, ... and the shims at hand. The first three that are not on one line
 * carry it and so set its plane; any other is brought up to touch and carries nothing. Millimetres.
 *
 * @param supports three or more, not all on one line
 * @param stock what may be laid on them
 */
public record Supports(List<Spot> supports, ShimStock stock) {
    /** More than this nobody brings up by hand. */
    public static final int MOST_SUPPORTS = 6;

    /** A support nearer to the line through the other two than this does not hold the casting steady, mm. */
    private static final double THIN = 15;

    public Supports {
        supports = List.copyOf(supports);
    }

    /** Two supports under one long edge, the third under the middle of the other. */
    public static Supports usual(Box box, ShimStock stock) {
        double in = Math.min(25, box.height() * 0.18);
        return new Supports(
                List.of(
                        new Spot(box.x0() + in, box.y0() + in),
                        new Spot(box.x1() - in, box.y0() + in),
                        new Spot((box.x0() + box.x1()) / 2, box.y1() - in)),
                stock);
    }

    /** @throws homalon.core.input.BadInputException when a casting of that outline cannot stand on them */
    public Supports checked(Box box) {
        Problems problems = new Problems();
        problems.require(
                supports.size() >= 3 && supports.size() <= MOST_SUPPORTS,
                "supports",
                "cut.three-supports-carry-a-casting-up-to");
        problems.require(
                supports.stream()
                        .allMatch(
                                s -> s.x() >= box.x0() && s.x() <= box.x1() && s.y() >= box.y0() && s.y() <= box.y1()),
                "supports",
                "cut.a-support-stands-beside-the-casting");
        if (problems.none()) {
            problems.require(!(thinnest() < THIN), "supports", "cut.a-b-and-c-stand-almost-on-one-line-move");
        }
        problems.throwIfAny();
        return this;
    }

    /** Least height of the triangle of the first three, mm. */
    private double thinnest() {
        Spot a = supports.get(0);
        Spot b = supports.get(1);
        Spot c = supports.get(2);
        double twice = Math.abs((b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x()));
        return twice / Math.max(a.distance(b), Math.max(b.distance(c), c.distance(a)));
    }

    /** True when a spot lies outside of the triangle that carries: a casting with its weight there tips. */
    public boolean tips(Spot weight) {
        int[] by = carrying();
        double first = side(by[0], by[1], weight);
        double second = side(by[1], by[2], weight);
        double third = side(by[2], by[0], weight);
        boolean left = first >= 0 && second >= 0 && third >= 0;
        boolean right = first <= 0 && second <= 0 && third <= 0;
        return !left && !right;
    }

    private double side(int from, int to, Spot p) {
        Spot a = supports.get(from);
        Spot b = supports.get(to);
        return (b.x() - a.x()) * (p.y() - a.y()) - (b.y() - a.y()) * (p.x() - a.x());
    }

    /** Indices of the three that carry: the first, the next that stands elsewhere, the next off the line of these two. */
    int[] carrying() {
        int[] by = {0, -1, -1};
        for (int i = 1; i < supports.size() && by[2] < 0; i++) {
            if (by[1] < 0) {
                by[1] = spread(0, i) >= 1 ? i : -1;
            } else {
                by[2] = spread(0, by[1], i) >= 2 ? i : -1;
            }
        }
        return by;
    }

    private int spread(int... indices) {
        double[] x = new double[indices.length];
        double[] y = new double[indices.length];
        for (int k = 0; k < indices.length; k++) {
            x[k] = supports.get(indices[k]).x();
            y[k] = supports.get(indices[k]).y();
        }
        return Spread.of(x, y).rank();
    }

    /**
     * Shims that bring a plane level: s_j = -(a x_j + b y_j), shifted so that the least is zero; those that carry as near as
     * the stock has them, the others no higher than what then touches.
     *
     * @return one for each support, mm, none negative
     */
    List<Double> shims(Plane plane) {
        double[] raw = supports.stream()
                .mapToDouble(s -> -(plane.a() * s.x() + plane.b() * s.y()))
                .toArray();
        int[] by = carrying();
        double least = Double.POSITIVE_INFINITY;
        for (double r : raw) {
            least = Math.min(least, r);
        }
        Double[] shims = new Double[raw.length];
        for (int j : by) {
            shims[j] = stock.nearest(raw[j] - least);
        }
        Plane carried = through(by, shims);
        List<Double> all = new ArrayList<>();
        for (int j = 0; j < raw.length; j++) {
            boolean carries = shims[j] != null;
            all.add(
                    carries
                            ? shims[j]
                            : stock.atMost(carried.at(
                                    supports.get(j).x(), supports.get(j).y())));
        }
        return all;
    }

    /** The plane of the face that is level with the cutter once those shims are in. */
    Plane levelOn(List<Double> shims) {
        Plane p = through(carrying(), shims.toArray(Double[]::new));
        return new Plane(-p.a(), -p.b(), -p.c());
    }

    private Plane through(int[] by, Double[] heights) {
        double[][] rows = new double[by.length][];
        for (int k = 0; k < by.length; k++) {
            Spot at = supports.get(by[k]);
            rows[k] = new double[] {at.x(), at.y(), heights[by[k]]};
        }
        return LeastSquaresPlane.fit(Points.of(rows));
    }
}
