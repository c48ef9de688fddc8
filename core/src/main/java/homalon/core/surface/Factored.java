package homalon.core.surface;

import homalon.core.numeric.Rows;
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
    /** Columns of 60 readings, 8 bytes each, that fit the nearest memory of a processor. */
    private static final int BLOCK = 64;

    private final SurfacePrior prior;
    private final double[] termVariances;
    private final ReadPlaces read;
    private final double[] lower;
    private final double[] whitened;
    private final double logEvidence;

    /** @param read worked out for the length of this level */
    Factored(SurfacePrior level, ReadPlaces read, Noise noise) {
        this.prior = level;
        this.read = read;
        this.termVariances = termVariances(level);
        int n = read.size();
        this.lower = factor(noise);
        this.whitened = read.read().zs().clone();
        TriangularSolver_DDRM.solveL(lower, whitened, n);
        double log = 0;
        for (int i = 0; i < n; i++) {
            log -= Math.log(lower[i * n + i]) + 0.5 * whitened[i] * whitened[i] + 0.5 * Math.log(2 * Math.PI);
        }
        this.logEvidence = log;
    }

    private static double[] termVariances(SurfacePrior prior) {
        double[] all = new double[Terms.COUNT];
        Arrays.fill(all, 0, Terms.PLANE, PLANE);
        List<Double> bends = prior.bends().all();
        for (int k = Terms.PLANE; k < Terms.COUNT; k++) {
            all[k] = bends.get(k - Terms.PLANE) * bends.get(k - Terms.PLANE);
        }
        return all;
    }

    /** Variance of the height at a place, before any reading and without faults, mm2. */
    double variance(double[] terms) {
        double sum = prior.local() * prior.local();
        for (int k = 0; k < Terms.COUNT; k++) {
            sum += termVariances[k] * terms[k] * terms[k];
        }
        return sum;
    }

    /**
     * Covariance of the height at one place and at each of many.
     *
     * @param alike how alike the local part is there and at each of them
     * @param termsOfOne of the one
     * @param terms of the many: one row a term, one column a place
     */
    double[] covariances(double[] alike, double[] termsOfOne, double[][] terms) {
        double local = prior.local() * prior.local();
        double[] all = new double[alike.length];
        for (int j = 0; j < all.length; j++) {
            all[j] = local * alike[j];
        }
        for (int k = 0; k < Terms.COUNT; k++) {
            double weight = termVariances[k] * termsOfOne[k];
            double[] term = terms[k];
            for (int j = 0; j < all.length; j++) {
                all[j] += weight * term[j];
            }
        }
        return all;
    }

    private double[] factor(Noise noise) {
        int n = read.size();
        double shared = noise.curvature() * noise.curvature();
        int rough = n - noise.rough().count();
        DMatrixRMaj k = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            double[] row = covariances(read.alike(i), Terms.at(read.terms(), i), read.terms());
            for (int j = 0; j <= i; j++) {
                double c = row[j];
                c += shared > 0 ? shared * read.bent(i) * read.bent(j) : 0;
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

    ReadPlaces read() {
        return read;
    }

    /** L^-1 z. */
    double[] whitened() {
        return whitened;
    }

    /** Natural logarithm of the density of the readings of a face without a fault. */
    double logEvidence() {
        return logEvidence;
    }

    /** L^-1 for many columns at once: one row a reading. So many columns at a time as stay near the processor. */
    void solve(double[][] rows) {
        int columns = rows.length == 0 ? 0 : rows[0].length;
        for (int from = 0; from < columns; from += BLOCK) {
            solve(rows, from, Math.min(columns, from + BLOCK));
        }
    }

    private void solve(double[][] rows, int from, int to) {
        int n = rows.length;
        for (int i = 0; i < n; i++) {
            double[] row = rows[i];
            Rows.subtract(row, rows, i, lower, i * n, from, to);
            double diagonal = lower[i * n + i];
            for (int j = from; j < to; j++) {
                row[j] /= diagonal;
            }
        }
    }
}
