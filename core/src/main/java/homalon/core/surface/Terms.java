package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.List;

/**
 * What is not local in a face at a place: plane and bends, u and v running from -1 to 1 over its box; and in readings of it a bend that
 * all of them share and the face has not.
 */
final class Terms {
    static final int COUNT = 9;
    /** So many of them are the plane. */
    static final int PLANE = 3;
    /** The number of the shared one: nothing anywhere on the face. */
    static final int SHARED = 8;

    private Terms() {}

    static double[] of(Box box, Spot place) {
        double u = box.u(place.x());
        double v = box.v(place.y());
        return new double[] {1, u, v, u * u, v * v, u * v, u * u * v, u * v * v, 0};
    }

    /** Of many places: one row a term, one column a place. */
    static double[][] of(Box box, List<Spot> places) {
        double[][] all = new double[COUNT][places.size()];
        for (int j = 0; j < places.size(); j++) {
            double[] one = of(box, places.get(j));
            for (int k = 0; k < COUNT; k++) {
                all[k][j] = one[k];
            }
        }
        return all;
    }
}
