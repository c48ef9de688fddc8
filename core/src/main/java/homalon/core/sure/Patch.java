package homalon.core.sure;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.MinimaxPlaces;
import homalon.core.numeric.MinimaxPlane;
import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.List;

/** Some places of a face that a limit asks about together: all of it, a square, a ring or a row. */
final class Patch {
    private final int[] at;
    private final double[] x;
    private final double[] y;
    /** Level, and the slopes that are free, each of length one and square to those before it. */
    private final double[][] basis;

    private final MinimaxPlaces places;
    /** How far one of each bend reaches here. */
    private final double[] bends = new double[3];

    private Patch(int[] at, double[] x, double[] y, double[][] basis) {
        this.at = at;
        this.x = x;
        this.y = y;
        this.basis = basis;
        this.places = new MinimaxPlaces(x, y);
    }

    /**
     * About the closest plane.
     *
     * @param at numbers of the places among all
     */
    static Patch plane(List<Spot> all, int[] at) {
        double[] x = new double[at.length];
        double[] y = new double[at.length];
        for (int k = 0; k < at.length; k++) {
            x[k] = all.get(at[k]).x();
            y[k] = all.get(at[k]).y();
        }
        return new Patch(at, x, y, orthonormal(x, y));
    }

    /** About the closest line: straightness of a row. */
    static Patch row(List<Spot> all, int[] at, boolean lengthwise) {
        double[] along = new double[at.length];
        for (int k = 0; k < at.length; k++) {
            Spot spot = all.get(at[k]);
            along[k] = lengthwise ? spot.x() : spot.y();
        }
        return new Patch(at, along, new double[at.length], orthonormal(along));
    }

    /** Level and these, each of length one and square to those before it. */
    static double[][] orthonormal(double[]... columns) {
        int n = columns[0].length;
        double[][] basis = new double[columns.length + 1][n];
        Arrays.fill(basis[0], 1 / Math.sqrt(n));
        for (int c = 0; c < columns.length; c++) {
            double[] b = columns[c].clone();
            double size = norm(b);
            for (int round = 0; round < 2; round++) {
                for (int k = 0; k <= c; k++) {
                    subtract(b, basis[k]);
                }
            }
            double left = norm(b);
            for (int k = 0; k < n; k++) {
                // A direction in which the places do not spread has no slope.
                basis[c + 1][k] = left > 1e-9 * size ? b[k] / left : 0;
            }
        }
        return basis;
    }

    private static double norm(double[] a) {
        return Math.sqrt(Rows.dot(a, a));
    }

    /** Takes the part along the other off; answers how much that was. */
    static double subtract(double[] from, double[] unit) {
        double dot = Rows.dot(from, unit);
        for (int k = 0; k < from.length; k++) {
            from[k] -= dot * unit[k];
        }
        return dot;
    }

    /** The same, made for a face. */
    Patch of(Bent face) {
        for (int k = 0; k < bends.length; k++) {
            bends[k] = reach(face.bend(k));
        }
        return this;
    }

    /** Never less than {@link #reach} of the face of which this is the rest, mm. */
    double atMost(Bent.Rest rest) {
        double sum = extent(rest.heights());
        for (int k = 0; k < bends.length; k++) {
            sum += Math.abs(rest.amounts()[k]) * bends[k];
        }
        return sum;
    }

    /** How far the heights reach, as they lie, mm: never less than {@link #reach} of them. */
    private double extent(double[] heights) {
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int k : at) {
            double v = heights[k];
            least = v < least ? v : least;
            most = v > most ? v : most;
        }
        return most - least;
    }

    /** How far the heights reach about their least-squares plane or line, mm: never less than their zone. */
    double reach(double[] heights) {
        double[] z = new double[at.length];
        double[] b0 = basis[0];
        double[] b1 = basis[1];
        // A row has no slope across; its place is taken by what it has, times nothing.
        double[] b2 = basis[basis.length - 1];
        double d0 = 0;
        double d1 = 0;
        double d2 = 0;
        for (int k = 0; k < z.length; k++) {
            double v = heights[at[k]];
            z[k] = v;
            d0 += v * b0[k];
            d1 += v * b1[k];
            d2 += v * b2[k];
        }
        d2 = basis.length == 3 ? d2 : 0;
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < z.length; k++) {
            double v = z[k] - d0 * b0[k] - d1 * b1[k] - d2 * b2[k];
            least = v < least ? v : least;
            most = v > most ? v : most;
        }
        return most - least;
    }

    /** The heights here, over their least-squares plane or line. */
    private double[] of(double[] heights) {
        double[] z = new double[at.length];
        for (int k = 0; k < z.length; k++) {
            z[k] = heights[at[k]];
        }
        for (double[] b : basis) {
            subtract(z, b);
        }
        return z;
    }

    /** Takes the least-squares plane of these places, which are all there are, off the heights. */
    double[] level(double[] heights) {
        return of(heights);
    }

    /** Whether the zone itself is wider than so much, mm. */
    boolean wider(double[] heights, double most) {
        return places.apart(of(heights), most);
    }

    /** The zone itself, mm, square to a plane that is all but level. */
    double zone(double[] heights) {
        MinimaxPlane.Fit fit = MinimaxPlane.fit(Points.of(x, y, of(heights)));
        return fit.extent() * fit.middle().cosTilt();
    }
}
