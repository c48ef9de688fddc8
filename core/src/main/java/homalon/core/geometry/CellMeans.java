package homalon.core.geometry;

import java.util.Arrays;

/** Means of points over small square cells: mean place and mean height of those in each. */
public final class CellMeans {
    /** Points are summed once, in cells so many times finer than those that fill a box without holes; those are then put together. */
    private static final int FINER = 4;

    private final int columns;
    private final int rows;
    /** Of each cell, row by row from the lower left: x, y and height summed, and of how many points. */
    private final double[][] sums;

    private CellMeans(int columns, int rows) {
        this.columns = columns;
        this.rows = rows;
        this.sums = new double[columns * rows][4];
    }

    /**
     * @param box that the cells fill; a point outside it counts for the nearest cell
     * @param most cells that may hold points, above zero
     * @return the points themselves where they are no more than that; else at most so many means, row by row from the lower left
     */
    public static Points of(Points points, Box box, int most) {
        if (points.size() <= most) {
            return points;
        }
        CellMeans fine = fine(points, box, most);
        int times = 1;
        CellMeans means = fine;
        while (means.filled() > most) {
            times++;
            means = fine.together(times);
        }
        return means.points();
    }

    private static CellMeans fine(Points points, Box box, int most) {
        double side = Math.sqrt(box.width() * box.height() / most) / FINER;
        CellMeans cells = new CellMeans((int) Math.ceil(box.width() / side), (int) Math.ceil(box.height() / side));
        for (int i = 0; i < points.size(); i++) {
            int column = clamp((points.x(i) - box.x0()) / side, cells.columns);
            int row = clamp((points.y(i) - box.y0()) / side, cells.rows);
            double[] cell = cells.sums[row * cells.columns + column];
            cell[0] += points.x(i);
            cell[1] += points.y(i);
            cell[2] += points.z(i);
            cell[3]++;
        }
        return cells;
    }

    private static int clamp(double at, int count) {
        return (int) Math.max(0, Math.min(count - 1, Math.floor(at)));
    }

    /** So many times as wide and high. */
    private CellMeans together(int times) {
        CellMeans larger = new CellMeans((columns + times - 1) / times, (rows + times - 1) / times);
        for (int i = 0; i < sums.length; i++) {
            double[] cell = larger.sums[i / columns / times * larger.columns + i % columns / times];
            for (int k = 0; k < cell.length; k++) {
                cell[k] += sums[i][k];
            }
        }
        return larger;
    }

    private long filled() {
        return Arrays.stream(sums).filter(c -> c[3] > 0).count();
    }

    private Points points() {
        return Points.of(Arrays.stream(sums)
                .filter(c -> c[3] > 0)
                .map(c -> new double[] {c[0] / c[3], c[1] / c[3], c[2] / c[3]})
                .toArray(double[][]::new));
    }
}
