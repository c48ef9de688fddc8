package homalon.core.geometry;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The regions of a raster at or above some levels, as closed rings (marching squares, linear between neighbours). Fill the
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
    private final double[] levels;
    /** Columns of the grid with more on either side, where everything is low; a power of two, so that nothing is divided. */
    private final int wide;

    private final int shift;
    /** Of every node, the border included, how many levels it reaches. */
    private final byte[] reached;
    /** The edge that a ring comes to after an edge, by its number; -1 where none passes, as everywhere between two levels. */
    private final int[] next;
    /** Cells whose corners do not all reach the same level, in order: only these does any level pass through. */
    private final int[] uneven;
    /** Cells that a level passes through. */
    private final int[] crossed;

    private double level;

    private Contours(Raster raster, double[] levels) {
        this.raster = raster;
        this.levels = levels;
        this.shift = Integer.SIZE - Integer.numberOfLeadingZeros(raster.columns() + 1);
        this.wide = 1 << shift;
        this.reached = new byte[wide * (raster.rows() + 2)];
        this.next = new int[2 * reached.length];
        Arrays.fill(next, -1);
        for (int j = 0; j < raster.rows(); j++) {
            for (int i = 0; i < raster.columns(); i++) {
                double value = raster.get(i, j);
                int count = 0;
                for (double l : levels) {
                    count += value >= l ? 1 : 0;
                }
                reached[(j + 1) * wide + i + 1] = (byte) count;
            }
        }
        // The last column has no cell, but nothing is high on either side of the step to the next row.
        this.uneven = IntStream.range(0, reached.length - wide - 1)
                .filter(at -> reached[at] != reached[at + 1]
                        || reached[at] != reached[at + wide]
                        || reached[at] != reached[at + wide + 1])
                .toArray();
        this.crossed = new int[uneven.length];
    }

    /**
     * The rings of each level, each ring as x, y, x, y, ... in millimetres without repeating its first place.
     *
     * @param levels at most 100, from low to high; heights at or above one are inside
     */
    public static List<List<double[]>> atOrAbove(Raster raster, double... levels) {
        if (levels.length > 100 || IntStream.range(1, levels.length).anyMatch(k -> levels[k] <= levels[k - 1])) {
            throw new IllegalArgumentException("levels go from low to high, a hundred at most");
        }
        Contours contours = new Contours(raster, levels);
        List<List<double[]>> all = new ArrayList<>();
        for (int k = 0; k < levels.length; k++) {
            all.add(contours.trace(k));
        }
        return all;
    }

    private List<double[]> trace(int k) {
        level = levels[k];
        int count = 0;
        for (int at : uneven) {
            int code = (reached[at] > k ? 1 : 0)
                    | (reached[at + 1] > k ? 2 : 0)
                    | (reached[at + wide + 1] > k ? 4 : 0)
                    | (reached[at + wide] > k ? 8 : 0);
            if (code != 0 && code != 15) {
                cell((at & wide - 1) - 1, (at >> shift) - 1, code);
                crossed[count++] = at;
            }
        }
        List<double[]> rings = new ArrayList<>();
        int[] edges = new int[2 * count];
        for (int c = 0; c < count; c++) {
            // Every ring passes the lower or the left edge of some cell.
            for (int start = 2 * crossed[c]; start <= 2 * crossed[c] + 1; start++) {
                if (next[start] >= 0) {
                    rings.add(ring(start, edges));
                }
            }
        }
        return rings;
    }

    /** Takes the links of the ring away as it goes. */
    private double[] ring(int start, int[] edges) {
        int length = 0;
        for (int at = start; at >= 0 && (length == 0 || at != start); ) {
            edges[length++] = at;
            int then = next[at];
            next[at] = -1;
            at = then;
        }
        double[] ring = new double[2 * length];
        for (int k = 0; k < length; k++) {
            crossing(edges[k], ring, 2 * k);
        }
        return ring;
    }

    /** Walks with the high side on the left. */
    private void cell(int i, int j, int code) {
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
        int i = (cell & wide - 1) - 1;
        int j = (cell >> shift) - 1;
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
