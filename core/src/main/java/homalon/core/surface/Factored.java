package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.decomposition.TriangularSolver_DDRM;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;

/**
 * The covariance K of readings under one level of a {@link SurfacePrior}, noise included, and its lower factor L; what readings of a face
 * without a fault have for themselves.
 */
final class Factored {
    /** Variance of the plane on which the part lies, mm2: far more than any support leaves. */
    private static final double PLANE = 1;
    /** Terms of the covariance that are not local: plane and bends. */
    private static final int TERMS = 8;

    private final SurfacePrior prior;
    private final Box box;
    private final double[] termVariances;
    private final Points read;
    private final double[][] terms;
    private final double[] lower;
    private final double[] whitened;
    private final double logEvidence;

    Factored(SurfacePrior level, Box box, Points read, Noise noise) {
        this.prior = level;
        this.box = box;
        this.read = read;
        this.termVariances = termVariances(level);
        int n = read.size();
        this.terms = new double[n][];
        Arrays.setAll(terms, i -> terms(read.x(i), read.y(i)));
        this.lower = factor(noise);
        this.whitened = read.zs().clone();
        TriangularSolver_DDRM.solveL(lower, whitened, n);
        double log = 0;
        for (int i = 0; i < n; i++) {
            log -= Math.log(lower[i * n + i]) + 0.5 * whitened[i] * whitened[i] + 0.5 * Math.log(2 * Math.PI);
        }
        this.logEvidence = log;
    }

    private static double[] termVariances(SurfacePrior prior) {
        double[] all = new double[TERMS];
        Arrays.fill(all, 0, 3, PLANE);
        List<Double> bends = prior.bends().all();
        for (int k = 3; k < TERMS; k++) {
            all[k] = bends.get(k - 3) * bends.get(k - 3);
        }
        return all;
    }

    double[] terms(double x, double y) {
        double u = box.u(x);
        double v = box.v(y);
        return new double[] {1, u, v, u * u, v * v, u * v, u * u * v, u * v * v};
    }

    /** Covariance of the heights at two places, before any reading and without faults, mm2. */
    double covariance(double[] termsA, double xa, double ya, double[] termsB, double xb, double yb) {
        return covariance(alike(xa, ya, new Spot(xb, yb)), weighed(termsA), termsB);
    }

    /** How alike the local part is at two places. */
    double alike(double x, double y, Spot other) {
        double dx = x - other.x();
        double dy = y - other.y();
        return Matern.of(Math.sqrt(dx * dx + dy * dy), prior.length());
    }

    /** The same of two places as alike as that. */
    double covariance(double alike, double[] weighedTermsA, double[] termsB) {
        double sum = prior.local() * prior.local() * alike;
        for (int k = 0; k < TERMS; k++) {
            sum += weighedTermsA[k] * termsB[k];
        }
        return sum;
    }

    /** Terms of a place, each times its variance. */
    double[] weighed(double[] termsOf) {
        double[] all = new double[TERMS];
        for (int k = 0; k < TERMS; k++) {
            all[k] = termVariances[k] * termsOf[k];
        }
        return all;
    }

    /** How far the place lies under the middle of the box, of a face bent to one over a millimetre. */
    private double bent(int i) {
        double x = read.x(i) - (box.x0() + box.x1()) / 2;
        double y = read.y(i) - (box.y0() + box.y1()) / 2;
        return (x * x + y * y) / 2;
    }

    private double[] factor(Noise noise) {
        int n = read.size();
        double shared = noise.curvature() * noise.curvature();
        int rough = n - noise.rough().count();
        DMatrixRMaj k = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double c = covariance(terms[i], read.x(i), read.y(i), terms[j], read.x(j), read.y(j));
                c += shared > 0 ? shared * bent(i) * bent(j) : 0;
                k.set(i, j, c);
                k.set(j, i, c);
            }
            double each = i >= rough ? noise.rough().each() : noise.each();
            k.add(i, i, each * each);
        }
        var cholesky = DecompositionFactory_DDRM.chol(n, true);
        if (n > 0 && !cholesky.decompose(k)) {
            throw new IllegalStateException("the covariance of the readings has no factor");
        }
        return n == 0 ? new double[0] : cholesky.getT(null).data;
    }

    Points read() {
        return read;
    }

    double[] termsOfReading(int i) {
        return terms[i];
    }

    /** L^-1 z. */
    double[] whitened() {
        return whitened;
    }

    /** Natural logarithm of the density of the readings of a face without a fault. */
    double logEvidence() {
        return logEvidence;
    }

    /** L^-1 for many columns at once, row by row: along a row the columns lie side by side in memory. */
    void solve(double[] rows, int columns) {
        int n = read.size();
        for (int i = 0; i < n; i++) {
            int row = i * columns;
            for (int k = 0; k < i; k++) {
                double by = lower[i * n + k];
                int other = k * columns;
                for (int j = 0; j < columns; j++) {
                    rows[row + j] -= by * rows[other + j];
                }
            }
            double diagonal = lower[i * n + i];
            for (int j = 0; j < columns; j++) {
                rows[row + j] /= diagonal;
            }
        }
    }
}
