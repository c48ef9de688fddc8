package homalon.core.geometry;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

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
    private final Map<Long, Long> next = new HashMap<>();

    private Contours(Raster raster, double level) {
        this.raster = raster;
        this.level = level;
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
        while (!next.isEmpty()) {
            rings.add(ring(next.keySet().iterator().next()));
        }
        return rings;
    }

    private double[] ring(long start) {
        List<Long> edges = new ArrayList<>();
        Long at = start;
        while (at != null) {
            edges.add(at);
            at = next.remove(at);
            if (at != null && at == start) {
                break;
            }
        }
        double[] ring = new double[2 * edges.size()];
        for (int k = 0; k < edges.size(); k++) {
            crossing(edges.get(k), ring, 2 * k);
        }
        return ring;
    }

    /** Walks with the high side on the left. */
    private void cell(int i, int j) {
        boolean a = high(i, j);
        boolean b = high(i + 1, j);
        boolean c = high(i + 1, j + 1);
        boolean d = high(i, j + 1);
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
        next.put(id(i, j, from), id(i, j, to));
    }

    /** Every grid edge has one number, whichever cell it is seen from. */
    private long id(int i, int j, Edge edge) {
        return switch (edge) {
            case BOTTOM -> horizontal(i, j);
            case TOP -> horizontal(i, j + 1);
            case LEFT -> horizontal(i, j) + 1;
            case RIGHT -> horizontal(i + 1, j) + 1;
        };
    }

    private long horizontal(int i, int j) {
        return 2L * ((long) (j + 1) * (raster.columns() + 2) + (i + 1));
    }

    private void crossing(long id, double[] into, int at) {
        boolean vertical = (id & 1) == 1;
        long cell = id >> 1;
        int i = (int) (cell % (raster.columns() + 2)) - 1;
        int j = (int) (cell / (raster.columns() + 2)) - 1;
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

    private boolean high(int i, int j) {
        return value(i, j) >= level;
    }

    private double value(int i, int j) {
        return inside(i, j) ? raster.get(i, j) : Double.NEGATIVE_INFINITY;
    }

    private boolean inside(int i, int j) {
        return i >= 0 && j >= 0 && i < raster.columns() && j < raster.rows();
    }
}
