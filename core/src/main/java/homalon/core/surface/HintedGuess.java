package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.List;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.ejml.dense.row.factory.DecompositionFactory_DDRM;

/**
 * What hints make of standard normals x, if they were readings: with rows A, values z and variances S their covariance is V = A A' + S;
 * x is normal about A' V^-1 z with covariance I - A' V^-1 A. A fault that the hints see as b has in it the evidence and the amplitude of
 * {@link Conditioned}, and moves x by -A' V^-1 b for each millimetre.
 */
final class HintedGuess {
    /** A guess that is too narrow is left slowly. */
    private static final double WIDER = 1.5;

    private final List<Evidence.Hint> hints;
    private final int normals;
    private final DMatrixRMaj rows;
    private final DMatrixRMaj inverse;
    private final double[] values;
    private final double[] mean;
    /** Columns of the factor of what is left open, each as long as all. */
    private final double[][] columns;

    private final double logEvidence;

    /** @param basis height of each place for each of the normals, one row a normal */
    HintedGuess(List<Evidence.Hint> hints, double[][] basis) {
        this.hints = hints;
        this.normals = basis.length;
        int h = hints.size();
        this.rows = new DMatrixRMaj(h, normals);
        this.values = hints.stream().mapToDouble(Evidence.Hint::about).toArray();
        for (int r = 0; r < h; r++) {
            for (int k = 0; k < normals; k++) {
                rows.set(r, k, seen(hints.get(r), basis[k]));
            }
        }
        this.logEvidence = logEvidence(covariance(1));
        this.inverse = inverted(covariance(WIDER));
        this.mean = back(values);
        this.columns = columns(left());
    }

    private static double seen(Evidence.Hint hint, double[] heights) {
        double sum = 0;
        for (int i = 0; i < hint.places().length; i++) {
            sum += hint.factors()[i] * heights[hint.places()[i]];
        }
        return sum;
    }

    private DMatrixRMaj covariance(double wider) {
        DMatrixRMaj v = new DMatrixRMaj(hints.size(), hints.size());
        CommonOps_DDRM.multTransB(rows, rows, v);
        for (int r = 0; r < hints.size(); r++) {
            v.add(r, r, wider * hints.get(r).spread() * hints.get(r).spread());
        }
        return v;
    }

    private static DMatrixRMaj inverted(DMatrixRMaj of) {
        DMatrixRMaj inverse = new DMatrixRMaj(of.numRows, of.numRows);
        if (of.numRows > 0 && !CommonOps_DDRM.invertSPD(of, inverse)) {
            throw new IllegalStateException("the covariance of the hints has no inverse");
        }
        return inverse;
    }

    private double logEvidence(DMatrixRMaj covariance) {
        int h = hints.size();
        if (h == 0) {
            return 0;
        }
        DMatrixRMaj inverted = inverted(covariance.copy());
        var cholesky = DecompositionFactory_DDRM.chol(h, true);
        if (!cholesky.decompose(covariance)) {
            throw new IllegalStateException("the covariance of the hints has no factor");
        }
        DMatrixRMaj factor = cholesky.getT(null);
        double log = 0;
        for (int r = 0; r < h; r++) {
            log -= Math.log(factor.get(r, r));
            for (int c = 0; c < h; c++) {
                log -= 0.5 * values[r] * inverted.get(r, c) * values[c];
            }
        }
        return log;
    }

    /** A' V^-1 of what the hints see. */
    private double[] back(double[] of) {
        double[] weighed = new double[of.length];
        for (int r = 0; r < of.length; r++) {
            for (int c = 0; c < of.length; c++) {
                weighed[r] += inverse.get(r, c) * of[c];
            }
        }
        double[] all = new double[normals];
        for (int r = 0; r < of.length; r++) {
            for (int k = 0; k < normals; k++) {
                all[k] += rows.get(r, k) * weighed[r];
            }
        }
        return all;
    }

    private double[][] columns(double[] lower) {
        double[][] all = new double[normals][normals];
        for (int k = 0; k < normals; k++) {
            for (int l = 0; l <= k; l++) {
                all[l][k] = lower[k * normals + l];
            }
        }
        return all;
    }

    /** The factor of what is left open, row by row. */
    private double[] left() {
        DMatrixRMaj left = CommonOps_DDRM.identity(normals);
        if (!hints.isEmpty()) {
            DMatrixRMaj weighed = new DMatrixRMaj(hints.size(), normals);
            CommonOps_DDRM.mult(inverse, rows, weighed);
            CommonOps_DDRM.multAddTransA(-1, rows, weighed, left);
        }
        var cholesky = DecompositionFactory_DDRM.chol(normals, true);
        if (!cholesky.decompose(left)) {
            throw new IllegalStateException("what the hints leave has no factor");
        }
        return cholesky.getT(null).data;
    }

    /** Natural logarithm of how likely the hints are, less a part that depends on none of the heights. */
    double logEvidence() {
        return logEvidence;
    }

    /** Of the normals of the prior, in the middle of the guess. */
    double[] middle() {
        return mean.clone();
    }

    /** How far from there those of the prior lie, for some of the guess: nothing but sums of these. */
    double[] away(double[] of) {
        double[] all = new double[normals];
        Rows.add(all, columns, of);
        return all;
    }

    /**
     * A fault in the guess.
     *
     * @param logEvidence over no fault
     * @param mean of its amplitude, mm, before it is cut at nothing
     * @param spread of it, mm
     * @param hints what they see of it, of 1 mm
     */
    record Seen(double logEvidence, double mean, double spread, double[] hints) {}

    /** What a fault moves each of the normals by, for 1 mm of it. */
    double[] moves(Seen fault) {
        double[] moves = back(fault.hints());
        for (int k = 0; k < moves.length; k++) {
            moves[k] = -moves[k];
        }
        return moves;
    }

    /** @param heights of the fault at the places for 1 mm */
    Seen see(FaultShape fault, double[] heights) {
        double[] b = hints.stream().mapToDouble(h -> seen(h, heights)).toArray();
        double q = 0;
        double r = 0;
        for (int i = 0; i < b.length; i++) {
            for (int j = 0; j < b.length; j++) {
                q += b[i] * inverse.get(i, j) * b[j];
                r += b[i] * inverse.get(i, j) * values[j];
            }
        }
        double t = fault.size() * fault.size();
        double variance = t / (1 + t * q);
        double middle = variance * r;
        double log = -0.5 * Math.log1p(t * q) + 0.5 * variance * r * r;
        if (fault.fault().oneWay()) {
            log += Math.log(2 * Normal.below(middle / Math.sqrt(variance)));
        }
        return new Seen(log, middle, Math.sqrt(variance), b);
    }
}
