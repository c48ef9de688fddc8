package homalon.core.geometry;

/**
 * Values on a regular grid: columns along x, rows along y; the value of column i and row j belongs to the place
 * (x0 + i step, y0 + j stepY).
 */
public final class Raster {
    private final double x0;
    private final double y0;
    private final double stepX;
    private final double stepY;
    private final int columns;
    private final int rows;
    private final double[] values;

    public Raster(double x0, double y0, double stepX, double stepY, int columns, int rows) {
        this.x0 = x0;
        this.y0 = y0;
        this.stepX = stepX;
        this.stepY = stepY;
        this.columns = columns;
        this.rows = rows;
        this.values = new double[columns * rows];
    }

    /** A grid over the box with one cell to spare on every side, and about the given number of cells along x. */
    public static Raster over(Box box, int cellsAlong) {
        double step = box.width() / cellsAlong;
        int across = Math.max(6, (int) Math.ceil(box.height() / step));
        double stepY = box.height() / across;
        return new Raster(box.x0() - step, box.y0() - stepY, step, stepY, cellsAlong + 3, across + 3);
    }

    public int columns() {
        return columns;
    }

    public int rows() {
        return rows;
    }

    public double x(int column) {
        return x0 + column * stepX;
    }

    public double y(int row) {
        return y0 + row * stepY;
    }

    public double get(int column, int row) {
        return values[row * columns + column];
    }

    public void set(int column, int row, double value) {
        values[row * columns + column] = value;
    }

    /** Value between the four nodes around a place, linear along both sides; outside the grid that of its border. */
    public double between(double x, double y) {
        double u = Math.max(0, Math.min(columns - 1, (x - x0) / stepX));
        double v = Math.max(0, Math.min(rows - 1, (y - y0) / stepY));
        int i = Math.min((int) u, columns - 2);
        int j = Math.min((int) v, rows - 2);
        double a = u - i;
        double b = v - j;
        return (1 - b) * ((1 - a) * get(i, j) + a * get(i + 1, j))
                + b * ((1 - a) * get(i, j + 1) + a * get(i + 1, j + 1));
    }
}
