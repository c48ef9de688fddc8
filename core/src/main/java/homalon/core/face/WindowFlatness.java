package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

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
        Windows windows = new Windows(points, side + slack);
        Search search = new Search();
        windows.widest().ifPresent(search::start);
        windows.each(search::look);
        return Optional.ofNullable(search.worst).or(() -> Optional.ofNullable(search.likely));
    }

    /**
     * Some points of a window, in rising y.
     *
     * @param held the column's points; those from {@code from} until {@code until} are in the window
     * @param bound no zone is larger than the range about any one plane: here the plane through all points
     */
    private record Window(Points points, double x0, double y0, int[] held, int from, int until, double bound) {
        Points inside() {
            return points.pick(Arrays.copyOfRange(held, from, until));
        }
    }

    /**
     * Looks at windows one after the other; one of which any plane shows that it cannot be worse than what is known is passed
     * over unsolved. The plane that settled the window before mostly does, since the two share nearly all their points.
     */
    private static final class Search {
        private double floor;
        private @Nullable Plane before;
        private @Nullable Worst worst;
        /** Counts where rounding, of points very far away, passes all of them over. */
        private @Nullable Worst likely;

        /** A window that looks like the worst: what cannot reach its zone need not be solved. */
        void start(Window window) {
            MinimumZone.Result zone = MinimumZone.of(window.inside());
            floor = zone.zone() - EQUAL_MM;
            before = zone.middle();
            likely = worst(window, zone);
        }

        private static Worst worst(Window window, MinimumZone.Result zone) {
            return new Worst(window.x0(), window.y0(), zone.zone(), window.until() - window.from());
        }

        void look(Window window) {
            double toBeat = worst == null ? floor : Math.max(floor, worst.zone() + EQUAL_MM);
            if (window.bound() < toBeat) {
                return;
            }
            Points inside = window.inside();
            boolean settled = inside.range(Objects.requireNonNull(before)).extent() < toBeat
                    || (!inside.onOneLine()
                            && inside.range(LeastSquaresPlane.fit(inside)).extent() < toBeat);
            if (settled) {
                return;
            }
            MinimumZone.Result zone = MinimumZone.of(inside);
            before = zone.middle();
            if (worst == null || zone.zone() > worst.zone() + EQUAL_MM) {
                worst = worst(window, zone);
            }
        }
    }

    /** All windows of four points and more, column by column from the front; the same points twice in a row come once. */
    private static final class Windows {
        private final Points points;
        private final double reach;
        private final int[] byY;
        private final double[] xs;
        private final double[] ys;
        private final double[] off;

        Windows(Points points, double reach) {
            this.points = points;
            this.reach = reach;
            this.byY = byY(points);
            this.xs = Arrays.stream(points.xs()).sorted().distinct().toArray();
            this.ys = Arrays.stream(points.ys()).sorted().distinct().toArray();
            Plane level = points.onOneLine() ? Plane.LEVEL : LeastSquaresPlane.fit(points);
            this.off = IntStream.range(0, points.size())
                    .mapToDouble(i -> points.above(level, i))
                    .toArray();
        }

        /** The window with the greatest bound: most likely the worst, and so a good floor. */
        Optional<Window> widest() {
            Window[] widest = new Window[1];
            each(w -> widest[0] = widest[0] == null || w.bound() > widest[0].bound() ? w : widest[0]);
            return Optional.ofNullable(widest[0]);
        }

        void each(Consumer<Window> visitor) {
            int[] column = new int[byY.length];
            for (double x0 : xs) {
                int held = 0;
                for (int i : byY) {
                    if (points.x(i) >= x0 && points.x(i) <= x0 + reach) {
                        column[held++] = i;
                    }
                }
                if (held >= FEWEST) {
                    slide(x0, Arrays.copyOf(column, held), visitor);
                }
            }
        }

        private void slide(double x0, int[] column, Consumer<Window> visitor) {
            int from = 0;
            int until = 0;
            int knownFrom = -1;
            int knownUntil = -1;
            for (double y0 : ys) {
                while (from < column.length && points.y(column[from]) < y0) {
                    from++;
                }
                while (until < column.length && points.y(column[until]) <= y0 + reach) {
                    until++;
                }
                if (until - from >= FEWEST && (from != knownFrom || until != knownUntil)) {
                    visitor.accept(new Window(points, x0, y0, column, from, until, range(column, from, until)));
                    knownFrom = from;
                    knownUntil = until;
                }
            }
        }

        private double range(int[] column, int from, int until) {
            double least = Double.POSITIVE_INFINITY;
            double most = Double.NEGATIVE_INFINITY;
            for (int k = from; k < until; k++) {
                double at = off[column[k]];
                least = at < least ? at : least;
                most = at > most ? at : most;
            }
            return most - least;
        }
    }

    /** Numbers of the points in rising y, the earlier first where it is equal. */
    private static int[] byY(Points points) {
        return IntStream.range(0, points.size())
                .boxed()
                .sorted(Comparator.comparingDouble(points::y))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /**
     * Whether a window slid anywhere over the box holds so many points wherever it lies (a side longer than the box is cut
     * to it). Counted at every place where the number can change.
     */
    public static boolean everyHolds(int fewest, Points points, Box box, double side) {
        double w = Math.min(side, box.width());
        double h = Math.min(side, box.height());
        double[] xs = starts(points.xs(), box.x0(), box.x1() - w);
        double[] ys = starts(points.ys(), box.y0(), box.y1() - h);
        int[] byY = byY(points);
        double[] column = new double[byY.length];
        for (double x0 : xs) {
            int held = 0;
            for (int i : byY) {
                if (points.x(i) >= x0 && points.x(i) <= x0 + w) {
                    column[held++] = points.y(i);
                }
            }
            if (fewestIn(column, held, ys, h) < fewest) {
                return false;
            }
        }
        return true;
    }

    /** @param held how many there are in the column, in rising order */
    private static int fewestIn(double[] column, int held, double[] starts, double height) {
        int fewest = Integer.MAX_VALUE;
        int below = 0;
        int until = 0;
        for (double y0 : starts) {
            while (below < held && column[below] < y0) {
                below++;
            }
            while (until < held && column[until] <= y0 + height) {
                until++;
            }
            fewest = Math.min(fewest, until - below);
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
