package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.Arrays;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.decomposition.TriangularSolver_DDRM;

/**
 * The local part of a face, of one height, behind its readings: M, the covariance of what is local in them and of their noise, and its
 * lower factor L. What is not local (plane, bends, a bend that all readings share) are few {@link Terms}, whose standard deviations
 * differ from level to level: with T their values at the readings, one row a term, a level needs no more of the readings than
 * T M^-1 T', T M^-1 z and z' M^-1 z (Woodbury).
 */
final class LocalPart {
    private final double height;
    private final ReadPlaces read;
    private final double[] lower;
    private final double[] whitened;
    /** L^-1 T': one row a term, one column a reading. */
    private final double[][] terms;

    private final double[][] gram;
    private final double[] shown;
    private final double square;
    private final double logDeterminant;

    /** @param height standard deviation, mm, above zero */
    LocalPart(double height, ReadPlaces read, Noise noise) {
        this.height = height;
        this.read = read;
        this.lower = factor(noise);
        this.whitened = solved(read.read().zs());
        this.terms = new double[Terms.COUNT][];
        Arrays.setAll(terms, k -> solved(read.terms()[k]));
        this.gram = new double[Terms.COUNT][Terms.COUNT];
        for (int k = 0; k < Terms.COUNT; k++) {
            for (int l = 0; l < Terms.COUNT; l++) {
                gram[k][l] = Rows.dot(terms[k], terms[l]);
            }
        }
        this.shown = new double[Terms.COUNT];
        Arrays.setAll(shown, k -> Rows.dot(terms[k], whitened));
        this.square = Rows.dot(whitened, whitened);
        double log = 0;
        for (int i = 0; i < read.size(); i++) {
            log += Math.log(lower[i * read.size() + i]);
        }
        this.logDeterminant = 2 * log;
    }

    private double[] factor(Noise noise) {
        int n = read.size();
        int rough = n - noise.rough().count();
        DMatrixRMaj m = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            double[] alike = read.alike(i);
            for (int j = 0; j < n; j++) {
                m.set(i, j, height * height * alike[j]);
            }
            double each = i >= rough ? noise.rough().each() : noise.each();
            m.add(i, i, each * each);
        }
        return Rows.factor(m);
    }

    private double[] solved(double[] column) {
        double[] all = column.clone();
        TriangularSolver_DDRM.solveL(lower, all, all.length);
        return all;
    }

    ReadPlaces read() {
        return read;
    }

    double height() {
        return height;
    }

    /** L^-1 of many columns at once, one row a reading; written on. */
    void solve(double[][] rows) {
        Rows.solve(lower, rows);
    }

    /** L^-1 z. */
    double[] whitened() {
        return whitened;
    }

    /** L^-1 T' of one term, by reading. */
    double[] term(int k) {
        return terms[k];
    }

    /** T M^-1 T'. */
    double[][] gram() {
        return gram;
    }

    /** T M^-1 z. */
    double[] shown() {
        return shown;
    }

    /** z' M^-1 z. */
    double square() {
        return square;
    }

    /** Of M, its natural logarithm. */
    double logDeterminant() {
        return logDeterminant;
    }
}
