package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.Arrays;

/**
 * Bounds of the worst minimum zone over any square window, for clouds too large to slide a window over every point. Squares
 * stand on a grid a quarter of their side apart; since a zone never grows when points are left out, the worst of them is a
 * lower bound, and the worst of squares one step larger on the same grid, within which every square lies, an upper one.
 */
final class WindowBounds {
    private static final int STEPS = 4;
    private static final int FEWEST = 4;

    private final Points points;
    private final Box box;
    private final double step;
    private final int columns;
    private final int rows;
    /** Points of each cell one after the other; {@link #from} says where a cell begins. */
    private final int[] byCell;

    private final int[] from;

    /**
     * @param least zone of the worst square tried, mm
     * @param most no square has a larger zone, mm
     * @param larger side of the squares of the upper bound, mm
     * @param filled true when every square tried holds four points or more
     */
    record Bounds(double least, double most, double larger, boolean filled) {}

    private WindowBounds(Points points, Box box, double step) {
        this.points = points;
        this.box = box;
        this.step = step;
        this.columns = Math.max(1, (int) Math.ceil(box.width() / step - 1e-9));
        this.rows = Math.max(1, (int) Math.ceil(box.height() / step - 1e-9));
        int n = points.size();
        this.from = new int[columns * rows + 1];
        int[] cell = new int[n];
        for (int i = 0; i < n; i++) {
            cell[i] = cell(points.x(i), points.y(i));
            from[cell[i] + 1]++;
        }
        for (int c = 0; c < columns * rows; c++) {
            from[c + 1] += from[c];
        }
        int[] next = Arrays.copyOf(from, columns * rows);
        this.byCell = new int[n];
        for (int i = 0; i < n; i++) {
            byCell[next[cell[i]]++] = i;
        }
    }

    static Bounds of(Points points, Box box, double side) {
        WindowBounds grid = new WindowBounds(points, box, side / STEPS);
        double[] least = grid.worst(STEPS);
        double[] most = grid.worst(STEPS + 1);
        return new Bounds(least[0], Math.max(least[0], most[0]), side * (STEPS + 1) / STEPS, least[1] >= FEWEST);
    }

    private int cell(double x, double y) {
        int column = (int) Math.min(columns - 1, Math.max(0, (x - box.x0()) / step));
        int row = (int) Math.min(rows - 1, Math.max(0, (y - box.y0()) / step));
        return row * columns + column;
    }

    /** Worst zone, and the fewest points, over squares of so many cells a side that lie within the box or are cut to it. */
    private double[] worst(int cells) {
        double worst = 0;
        double fewest = Double.POSITIVE_INFINITY;
        for (int row = 0; row <= Math.max(0, rows - cells); row++) {
            for (int column = 0; column <= Math.max(0, columns - cells); column++) {
                int[] held = held(column, row, cells);
                fewest = Math.min(fewest, held.length);
                if (held.length >= FEWEST) {
                    Points inside = points.pick(held);
                    // No zone is larger than the range about any one plane.
                    if (bound(inside) > worst) {
                        worst = Math.max(worst, MinimumZone.of(inside).zone());
                    }
                }
            }
        }
        return new double[] {worst, fewest};
    }

    private static double bound(Points inside) {
        return inside.onOneLine()
                ? Double.POSITIVE_INFINITY
                : inside.range(LeastSquaresPlane.fit(inside)).extent();
    }

    private int[] held(int column, int row, int cells) {
        int toColumn = Math.min(columns, column + cells);
        int toRow = Math.min(rows, row + cells);
        int size = 0;
        for (int r = row; r < toRow; r++) {
            size += from[r * columns + toColumn] - from[r * columns + column];
        }
        int[] held = new int[size];
        int at = 0;
        for (int r = row; r < toRow; r++) {
            int start = from[r * columns + column];
            int n = from[r * columns + toColumn] - start;
            System.arraycopy(byCell, start, held, at, n);
            at += n;
        }
        return held;
    }
}
