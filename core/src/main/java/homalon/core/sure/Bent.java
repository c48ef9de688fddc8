package homalon.core.sure;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.List;

/**
 * Heights of a whole face split into plane, bow and twist, and the rest. In a part of a face, bow and twist of so much are as far from
 * flat wherever it lies; what the rest adds to that is no more than it reaches there. So most parts are known to be flat enough without
 * a look at their own plane.
 */
final class Bent {
    private static final int PLANE = 3;
    private static final int TERMS = 6;

    private final double[][] basis;

    Bent(Box box, List<Spot> spots) {
        double[][] terms = new double[TERMS - 1][spots.size()];
        for (int i = 0; i < spots.size(); i++) {
            double u = box.u(spots.get(i).x());
            double v = box.v(spots.get(i).y());
            double[] all = {u, v, u * u, v * v, u * v};
            for (int k = 0; k < all.length; k++) {
                terms[k][i] = all[k];
            }
        }
        this.basis = Patch.orthonormal(terms);
    }

    /** One of bow, cross bow and twist, as heights. */
    double[] bend(int number) {
        return basis[PLANE + number];
    }

    /**
     * A face without plane, bow and twist.
     *
     * @param amounts of bow, cross bow and twist, each in {@link #bend}
     */
    record Rest(double[] heights, double[] amounts) {}

    Rest rest(double[] heights) {
        double[] z = heights.clone();
        double[] amounts = new double[TERMS - PLANE];
        for (int k = 0; k < TERMS; k++) {
            double dot = Patch.subtract(z, basis[k]);
            if (k >= PLANE) {
                amounts[k - PLANE] = dot;
            }
        }
        return new Rest(z, amounts);
    }
}
