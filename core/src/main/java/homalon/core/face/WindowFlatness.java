package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * The worst minimum zone over any square window of a given side: axis-aligned, closed, its lower left corner at some
 * (x_i, y_j) of the points. Any window's points lie in one of those, so none is missed. Of equal ones the first in
 * (x, y) order counts. A window needs four points.
 */
public final class WindowFlatness {
    private static final int FEWEST = 4;
    /** Two zones closer than this are equal: far below what any instrument tells apart. */
    private static final double EQUAL_MM = 1e-12;

    /** Most window places that are searched: beyond it a survey must be thinned first. */
    public static final long MOST_WINDOWS = 9_000_000L;

    private WindowFlatness() {}

    /**
     * @param x0 lower left corner of the window, mm
     * @param y0 lower left corner of the window, mm
     * @param zone minimum zone of the points in it, mm
     * @param points how many it holds
     */
    public record Worst(double x0, double y0, double zone, int points) {}

    /**
     * @param side side of the square, mm, above zero
     * @param slack how far outside a point may lie by rounding and still count as on the border, mm
     * @return empty when no window holds four points
     */
    public static Optional<Worst> worst(Points points, double side, double slack) {
        double[] xs = Arrays.stream(points.xs()).sorted().distinct().toArray();
        double[] ys = Arrays.stream(points.ys()).sorted().distinct().toArray();
        int[] byX = IntStream.range(0, points.size())
                .boxed()
                .sorted((i, j) -> Double.compare(points.x(i), points.x(j)))
                .mapToInt(Integer::intValue)
                .toArray();
        Plane level = points.onOneLine() ? Plane.LEVEL : LeastSquaresPlane.fit(points);
        Worst worst = null;
        int from = 0;
        for (double x0 : xs) {
            while (points.x(byX[from]) < x0) {
                from++;
            }
            int[] column = columnFrom(points, byX, from, x0 + side + slack);
            if (column.length < FEWEST) {
                continue;
            }
            for (double y0 : ys) {
                worst = worse(worst, points, column, new Box(x0, y0, x0 + side + slack, y0 + side + slack), level);
            }
        }
        return Optional.ofNullable(worst);
    }

    private static int[] columnFrom(Points points, int[] byX, int from, double until) {
        int to = from;
        while (to < byX.length && points.x(byX[to]) <= until) {
            to++;
        }
        return Arrays.copyOfRange(byX, from, to);
    }

    private static Worst worse(Worst worst, Points points, int[] column, Box window, Plane level) {
        int[] inside = Arrays.stream(column)
                .filter(i -> points.y(i) >= window.y0() && points.y(i) <= window.y1())
                .toArray();
        if (inside.length < FEWEST) {
            return worst;
        }
        Points held = points.pick(inside);
        double soFar = worst == null ? -1 : worst.zone() + EQUAL_MM;
        if (bound(held, level) <= soFar) {
            return worst;
        }
        double zone = MinimumZone.of(held).zone();
        return zone > soFar ? new Worst(window.x0(), window.y0(), zone, inside.length) : worst;
    }

    /** No zone is larger than the range about any one plane. */
    private static double bound(Points held, Plane level) {
        Range range = held.range(level);
        return range.extent();
    }

    /**
     * The fewest points that a window slid anywhere over the box holds (a side longer than the box is cut to it).
     * Counted at every place where the number can change.
     */
    public static int fewestInAny(Points points, Box box, double side) {
        double w = Math.min(side, box.width());
        double h = Math.min(side, box.height());
        double[] xs = starts(points.xs(), box.x0(), box.x1() - w);
        double[] ys = starts(points.ys(), box.y0(), box.y1() - h);
        int fewest = Integer.MAX_VALUE;
        for (double x0 : xs) {
            double[] column = IntStream.range(0, points.size())
                    .filter(i -> points.x(i) >= x0 && points.x(i) <= x0 + w)
                    .mapToDouble(points::y)
                    .sorted()
                    .toArray();
            int below = 0;
            int until = 0;
            for (double y0 : ys) {
                while (below < column.length && column[below] < y0) {
                    below++;
                }
                while (until < column.length && column[until] <= y0 + h) {
                    until++;
                }
                fewest = Math.min(fewest, until - below);
            }
        }
        return fewest;
    }

    /** A window loses a point just after its lower edge has passed it. */
    private static double[] starts(double[] values, double least, double most) {
        double hair = 1e-9;
        return IntStream.rangeClosed(0, values.length)
                .mapToDouble(i -> i == values.length ? least : values[i] + hair)
                .filter(s -> s >= least && s <= most + hair)
                .sorted()
                .distinct()
                .toArray();
    }
}
