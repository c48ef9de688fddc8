package homalon.core.cut;

import homalon.core.geometry.Box;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.part.LandRaster;
import homalon.core.sure.TouchSeen;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * A face in cells of about equal sides, coarse enough to paint with a gloved finger or to walk from the keyboard. Cells are
 * numbered along the face from its lower front corner, row by row; those with no land in them are left out.
 */
public final class TouchCells {
    public static final int COLUMNS = 24;
    private static final int MOST_ROWS = 16;

    /**
     * One cell with land in it.
     *
     * @param number along the rows
     * @param land nodes of the land raster in it
     */
    public record Cell(int number, int column, int row, double x0, double y0, double width, double height, int land) {}

    private final LandRaster land;
    private final int rows;
    private final List<Cell> cells;
    private final int[] cellOfNode;
    private final BitSet sealing = new BitSet();

    private TouchCells(LandRaster land) {
        this.land = land;
        Box box = land.layout().box();
        double side = box.width() / COLUMNS;
        this.rows = (int) Math.max(3, Math.min(MOST_ROWS, Math.round(box.height() / side)));
        Raster grid = land.grid();
        this.cellOfNode = new int[grid.columns() * grid.rows()];
        int[] counted = new int[COLUMNS * rows];
        BitSet bands = land.sealing();
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                int cell = cellAt(grid.x(i), grid.y(j));
                boolean onLand = land.isLand(grid, i, j);
                cellOfNode[j * grid.columns() + i] = onLand ? cell : -1;
                counted[cell] += onLand ? 1 : 0;
                if (onLand && bands.get(j * grid.columns() + i)) {
                    sealing.set(cell);
                }
            }
        }
        this.cells = new ArrayList<>();
        double height = box.height() / rows;
        for (int n = 0; n < counted.length; n++) {
            if (counted[n] > 0) {
                int column = n % COLUMNS;
                int row = n / COLUMNS;
                cells.add(new Cell(
                        n, column, row, box.x0() + column * side, box.y0() + row * height, side, height, counted[n]));
            }
        }
    }

    public static TouchCells of(LandRaster land) {
        return new TouchCells(land);
    }

    private int cellAt(double x, double y) {
        Box box = land.layout().box();
        int column = (int) Math.min(COLUMNS - 1, Math.max(0, (x - box.x0()) / box.width() * COLUMNS));
        int row = (int) Math.min(rows - 1, Math.max(0, (y - box.y0()) / box.height() * rows));
        return row * COLUMNS + column;
    }

    /** Number of the cell in which a place lies. */
    public int at(Spot place) {
        return cellAt(place.x(), place.y());
    }

    /** Where bare metal ends: midway between a cell that was touched and one beside it that was not. */
    public List<Spot> ends(TouchComparison.Look look) {
        List<Spot> ends = new ArrayList<>();
        for (Cell c : cells) {
            for (Cell o : beside(c)) {
                boolean told = !look.unsure().get(c.number()) && !look.unsure().get(o.number());
                if (told && look.touched().get(c.number()) && !look.touched().get(o.number())) {
                    ends.add(new Spot((middleX(c) + middleX(o)) / 2, (middleY(c) + middleY(o)) / 2));
                }
            }
        }
        return ends;
    }

    /** Cells of which it is told whether they were touched, and the same of all that lie beside them. */
    public BitSet inner(TouchComparison.Look look) {
        BitSet inner = new BitSet();
        for (Cell c : cells) {
            boolean same = beside(c).stream()
                    .allMatch(o ->
                            look.touched().get(o.number()) == look.touched().get(c.number())
                                    && !look.unsure().get(o.number()));
            inner.set(c.number(), same && !look.unsure().get(c.number()));
        }
        return inner;
    }

    /**
     * What a look tells of places.
     *
     * @param spots of a grid over the face
     */
    public TouchSeen seen(TouchComparison.Look look, List<Spot> spots) {
        BitSet known = new BitSet();
        cells.forEach(c -> known.set(c.number()));
        known.andNot(look.unsure());
        BitSet inner = inner(look);
        BitSet bare = new BitSet();
        BitSet open = new BitSet();
        BitSet rim = new BitSet();
        for (int i = 0; i < spots.size(); i++) {
            int cell = at(spots.get(i));
            bare.set(i, known.get(cell) && look.touched().get(cell));
            open.set(i, known.get(cell) && !look.touched().get(cell));
            rim.set(i, !inner.get(cell));
        }
        return new TouchSeen(look.depth(), ends(look), bare, open, rim);
    }

    private static double middleX(Cell c) {
        return c.x0() + c.width() / 2;
    }

    private static double middleY(Cell c) {
        return c.y0() + c.height() / 2;
    }

    /** Along and across, those with land. */
    private List<Cell> beside(Cell c) {
        return cells.stream()
                .filter(o -> Math.abs(o.column() - c.column()) + Math.abs(o.row() - c.row()) == 1)
                .toList();
    }

    public List<Cell> cells() {
        return List.copyOf(cells);
    }

    /** Cells with land in which a gasket seals. */
    public BitSet sealing() {
        return (BitSet) sealing.clone();
    }

    /** How many cells there could be: numbers run below it. */
    public int size() {
        return COLUMNS * rows;
    }

    /** Share of the land in the cells given, 0 to 1. */
    public double share(BitSet touched) {
        return cells.stream()
                        .filter(c -> touched.get(c.number()))
                        .mapToInt(Cell::land)
                        .sum()
                / (double) land.landNodes();
    }

    /** Cells of which a cutter that has come down to a height has touched half or more of the land. */
    public BitSet touchedAt(Raster heights, double downTo) {
        int[] below = new int[size()];
        forLand(heights, (cell, height) -> below[cell] += height >= downTo ? 1 : 0);
        BitSet touched = new BitSet();
        cells.forEach(c -> touched.set(c.number(), below[c.number()] * 2 >= c.land()));
        return touched;
    }

    /** Mean height of the land in each cell, by cell number; nothing is to be said of one without land. */
    double[] means(Raster heights) {
        double[] sum = new double[size()];
        forLand(heights, (cell, height) -> sum[cell] += height);
        double[] mean = new double[size()];
        Arrays.fill(mean, Double.NaN);
        cells.forEach(c -> mean[c.number()] = sum[c.number()] / c.land());
        return mean;
    }

    private interface Node {
        void at(int cell, double height);
    }

    private void forLand(Raster heights, Node node) {
        for (int j = 0; j < heights.rows(); j++) {
            for (int i = 0; i < heights.columns(); i++) {
                int cell = cellOfNode[j * heights.columns() + i];
                if (cell >= 0) {
                    node.at(cell, heights.get(i, j));
                }
            }
        }
    }
}
