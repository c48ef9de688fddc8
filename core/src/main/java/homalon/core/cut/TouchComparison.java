package homalon.core.cut;

import homalon.core.geometry.Box;
import homalon.core.numeric.LargerProgram;
import homalon.core.numeric.LinearBounds.Band;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.OptionalDouble;

/**
 * How much is left to cut by what the cutter was seen to touch at each depth, with no reading of the face at all. What is touched
 * lies at or above the cut, what is not lies below it: bounds on the height of every cell. Of all faces with a tilt, a bow each
 * way and a twist (z = c + a u + b v + e u^2 + f v^2 + d u v) that keep these bounds, the least and the greatest depth that is
 * left until all land is clean.
 *
 * @param clean all land that counts is touched
 * @param least depth left, mm; 0 when clean
 * @param greatest depth left; empty where what was seen bounds it not at all
 * @param explained false when no such face shows what was seen: a dip, a step, a casting that moved; nothing is bounded then
 */
public record TouchComparison(boolean clean, double least, OptionalDouble greatest, boolean explained) {
    /** A cell counts as touched from half of its land on, and heights within it differ by about this, mm. */
    private static final double SLACK = 0.002;

    /** The programmes are solved in these, whose figures are of the size of the forms. */
    private static final double MICRONS = 1000;

    private static final int FEW = 8;
    /** Nothing that is bounded lies beyond, mm. */
    private static final double FAR = 0.9;

    /**
     * What was seen after a pass.
     *
     * @param depth from first touch to the end of that pass, mm
     * @param touched cells
     * @param unsure cells of which nobody said whether they were
     */
    public record Look(double depth, BitSet touched, BitSet unsure) {}

    /**
     * @param looks in the order of the passes, at least one
     * @param sealing cells that have to come clean; all where it is empty
     */
    public static TouchComparison of(TouchCells grid, Box box, List<Look> looks, BitSet sealing) {
        Look last = looks.get(looks.size() - 1);
        List<TouchCells.Cell> open = new ArrayList<>();
        for (TouchCells.Cell c : grid.cells()) {
            boolean counts = sealing.isEmpty() || sealing.get(c.number());
            if (counts && !last.touched().get(c.number())) {
                open.add(c);
            }
        }
        if (open.isEmpty()) {
            return new TouchComparison(true, 0, OptionalDouble.of(0), true);
        }
        LargerProgram faces = new LargerProgram(bands(grid, box, looks));
        List<double[]> depths = open.stream().map(c -> minus(form(c, box))).toList();
        OptionalDouble shallowest = faces.leastOfLargest(depths);
        if (shallowest.isEmpty()) {
            return new TouchComparison(false, 0, OptionalDouble.empty(), false);
        }
        double least = Math.max(0, shallowest.getAsDouble() / MICRONS - last.depth());
        return new TouchComparison(false, least, greatest(faces, open, box, last.depth()), true);
    }

    /** Heights below first touch that the looks allow a cell. */
    private record Allowed(double least, double most) {}

    /**
     * Between which heights below first touch cells lie, by all looks. Of cells that are allowed the same, those inside a patch say
     * next to nothing that its border does not: they are left out, which can only widen what is found.
     */
    private static List<Band> bands(TouchCells grid, Box box, List<Look> looks) {
        Map<Integer, Allowed> allowed = new HashMap<>();
        for (TouchCells.Cell c : grid.cells()) {
            double most = 0;
            double least = Double.NEGATIVE_INFINITY;
            for (Look look : looks) {
                if (look.unsure().get(c.number())) {
                    continue;
                }
                if (look.touched().get(c.number())) {
                    least = Math.max(least, -look.depth());
                } else if (least == Double.NEGATIVE_INFINITY) {
                    most = Math.min(most, -look.depth());
                }
            }
            allowed.put(c.number(), new Allowed(least, most));
        }
        int rows = grid.size() / TouchCells.COLUMNS;
        List<Band> bands = new ArrayList<>();
        for (TouchCells.Cell c : grid.cells()) {
            Allowed own = Objects.requireNonNull(allowed.get(c.number()));
            boolean inside = same(allowed, own, c.row() == 0, c.number() - TouchCells.COLUMNS)
                    && same(allowed, own, c.row() == rows - 1, c.number() + TouchCells.COLUMNS)
                    && same(allowed, own, c.column() == 0, c.number() - 1)
                    && same(allowed, own, c.column() == TouchCells.COLUMNS - 1, c.number() + 1);
            boolean thinned = own.least() == Double.NEGATIVE_INFINITY && own.most() == 0;
            if (!inside && !thinned) {
                bands.add(new Band(form(c, box), MICRONS * (own.least() - SLACK), MICRONS * (own.most() + SLACK)));
            }
        }
        return bands;
    }

    /** A neighbour that is allowed the same, or holds no land; beyond the face there is none. */
    private static boolean same(Map<Integer, Allowed> allowed, Allowed own, boolean atEdge, int neighbour) {
        return !atEdge && allowed.getOrDefault(neighbour, own).equals(own);
    }

    private static double[] form(TouchCells.Cell c, Box box) {
        double u = box.u(c.x0() + c.width() / 2);
        double v = box.v(c.y0() + c.height() / 2);
        return new double[] {1, u, v, u * u, v * v, u * v};
    }

    private static double[] minus(double[] form) {
        return Arrays.stream(form).map(f -> -f).toArray();
    }

    private static OptionalDouble greatest(LargerProgram faces, List<TouchCells.Cell> open, Box box, double depth) {
        double greatest = 0;
        for (TouchCells.Cell c : open) {
            // A smooth face is as deep beside a cell as in it, within what a cell is wide.
            if ((c.column() % 2 != 0 || c.row() % 2 != 0) && open.size() > FEW) {
                continue;
            }
            double deep = -faces.least(form(c, box)).orElse(Double.NEGATIVE_INFINITY) / MICRONS - depth;
            if (deep > FAR) {
                return OptionalDouble.empty();
            }
            greatest = Math.max(greatest, deep);
        }
        return OptionalDouble.of(greatest);
    }
}
