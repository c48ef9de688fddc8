package homalon.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The region of a raster at or above a level, as closed rings (marching squares, linear between neighbours). Fill the
 * rings of one level together with the even-odd rule. Rings that would leave the raster are closed along its border, so a
 * raster should reach a cell further than what is drawn. Saddle cells are split by the mean of their corners.
 */
public final class Contours {
    /** Edges of a cell, counted from its lower left corner. */
    private enum Edge {
        BOTTOM,
        RIGHT,
        TOP,
        LEFT
    }

    private final Raster raster;
    private final double level;
    /** Columns of the grid with one more on either side, where everything is low. */
    private final int wide;
    /** Which nodes are high, the border included. */
    private final boolean[] high;
    /** The edge that a ring comes to after an edge, by its number; -1 where none passes. */
    private final int[] next;

    private Contours(Raster raster, double level) {
        this.raster = raster;
        this.level = level;
        this.wide = raster.columns() + 2;
        this.high = new boolean[wide * (raster.rows() + 2)];
        this.next = new int[2 * high.length];
        Arrays.fill(next, -1);
        for (int j = 0; j < raster.rows(); j++) {
            for (int i = 0; i < raster.columns(); i++) {
                high[(j + 1) * wide + i + 1] = raster.get(i, j) >= level;
            }
        }
    }

    /**
     * The rings, each as x, y, x, y, ... in millimetres without repeating its first place.
     *
     * @param level heights at or above it are inside
     */
    public static List<double[]> atOrAbove(Raster raster, double level) {
        return new Contours(raster, level).trace();
    }

    private List<double[]> trace() {
        for (int j = -1; j < raster.rows(); j++) {
            for (int i = -1; i < raster.columns(); i++) {
                cell(i, j);
            }
        }
        List<double[]> rings = new ArrayList<>();
        int[] edges = new int[next.length];
        for (int start = 0; start < next.length; start++) {
            if (next[start] >= 0) {
                rings.add(ring(start, edges));
            }
        }
        return rings;
    }

    /** @param edges room for the longest ring there could be */
    private double[] ring(int start, int[] edges) {
        int count = 0;
        for (int at = start; at >= 0 && (count == 0 || at != start); ) {
            edges[count++] = at;
            int then = next[at];
            next[at] = -1;
            at = then;
        }
        double[] ring = new double[2 * count];
        for (int k = 0; k < count; k++) {
            crossing(edges[k], ring, 2 * k);
        }
        return ring;
    }

    /** Walks with the high side on the left. */
    private void cell(int i, int j) {
        int at = (j + 1) * wide + i + 1;
        boolean a = high[at];
        boolean b = high[at + 1];
        boolean c = high[at + wide + 1];
        boolean d = high[at + wide];
        int code = (a ? 1 : 0) | (b ? 2 : 0) | (c ? 4 : 0) | (d ? 8 : 0);
        switch (code) {
            case 1 -> link(i, j, Edge.BOTTOM, Edge.LEFT);
            case 2 -> link(i, j, Edge.RIGHT, Edge.BOTTOM);
            case 3 -> link(i, j, Edge.RIGHT, Edge.LEFT);
            case 4 -> link(i, j, Edge.TOP, Edge.RIGHT);
            case 6 -> link(i, j, Edge.TOP, Edge.BOTTOM);
            case 7 -> link(i, j, Edge.TOP, Edge.LEFT);
            case 8 -> link(i, j, Edge.LEFT, Edge.TOP);
            case 9 -> link(i, j, Edge.BOTTOM, Edge.TOP);
            case 11 -> link(i, j, Edge.RIGHT, Edge.TOP);
            case 12 -> link(i, j, Edge.LEFT, Edge.RIGHT);
            case 13 -> link(i, j, Edge.BOTTOM, Edge.RIGHT);
            case 14 -> link(i, j, Edge.LEFT, Edge.BOTTOM);
            case 5 -> saddle(i, j, true);
            case 10 -> saddle(i, j, false);
            default -> {}
        }
    }

    private void saddle(int i, int j, boolean lowerLeftHigh) {
        double mean = (value(i, j) + value(i + 1, j) + value(i + 1, j + 1) + value(i, j + 1)) / 4;
        boolean joined = mean >= level;
        if (lowerLeftHigh) {
            link(i, j, joined ? Edge.BOTTOM : Edge.TOP, Edge.RIGHT);
            link(i, j, joined ? Edge.TOP : Edge.BOTTOM, Edge.LEFT);
        } else {
            link(i, j, joined ? Edge.LEFT : Edge.RIGHT, Edge.BOTTOM);
            link(i, j, joined ? Edge.RIGHT : Edge.LEFT, Edge.TOP);
        }
    }

    private void link(int i, int j, Edge from, Edge to) {
        next[id(i, j, from)] = id(i, j, to);
    }

    /** Every grid edge has one number, whichever cell it is seen from. */
    private int id(int i, int j, Edge edge) {
        return switch (edge) {
            case BOTTOM -> horizontal(i, j);
            case TOP -> horizontal(i, j + 1);
            case LEFT -> horizontal(i, j) + 1;
            case RIGHT -> horizontal(i + 1, j) + 1;
        };
    }

    private int horizontal(int i, int j) {
        return 2 * ((j + 1) * wide + (i + 1));
    }

    private void crossing(int id, double[] into, int at) {
        boolean vertical = (id & 1) == 1;
        int cell = id >> 1;
        int i = cell % wide - 1;
        int j = cell / wide - 1;
        int i2 = vertical ? i : i + 1;
        int j2 = vertical ? j + 1 : j;
        double t = fraction(i, j, i2, j2);
        into[at] = raster.x(i) + t * (raster.x(i2) - raster.x(i));
        into[at + 1] = raster.y(j) + t * (raster.y(j2) - raster.y(j));
    }

    /** Outside the raster everything is low, at the border itself, so that rings close along it. */
    private double fraction(int i, int j, int i2, int j2) {
        if (!inside(i, j)) {
            return 1;
        }
        if (!inside(i2, j2)) {
            return 0;
        }
        double from = raster.get(i, j);
        double to = raster.get(i2, j2);
        return to == from ? 0.5 : Math.max(0, Math.min(1, (level - from) / (to - from)));
    }

    private double value(int i, int j) {
        return inside(i, j) ? raster.get(i, j) : Double.NEGATIVE_INFINITY;
    }

    private boolean inside(int i, int j) {
        return i >= 0 && j >= 0 && i < raster.columns() && j < raster.rows();
    }
}
