package homalon.core.numeric;

import java.util.Arrays;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.EigenDecompositionSymmetric;

/**
 * Linear least squares in which each coefficient stands alone: where the data leave some of them open, the others are
 * still given. The pseudo-inverse solution by the eigenvectors of the normal matrix; columns are expected to be of order
 * one.
 */
public final class PartialFit {
    /** Of the largest eigenvalue: below this a direction counts as one that the data say nothing about. */
    private static final double NULL = 1e-11;
    /** Share of a coefficient's unit vector in the null space that is rounding and no more. */
    private static final double NO_PART = 1e-9;

    private final double[] coefficients;
    private final double[] standardErrors;

    private PartialFit(double[] coefficients, double[] standardErrors) {
        this.coefficients = coefficients;
        this.standardErrors = standardErrors;
    }

    /**
     * @param normal the matrix A'A, k x k
     * @param right the vector A'z
     */
    public static PartialFit solve(double[][] normal, double[] right) {
        int k = right.length;
        EigenDecompositionSymmetric eigen = new EigenDecompositionSymmetric(new Array2DRowRealMatrix(normal, false));
        double greatest = Arrays.stream(eigen.getEigenvalues()).max().orElse(0);
        double[] coefficients = new double[k];
        double[] variance = new double[k];
        double[] nullShare = new double[k];
        for (int j = 0; j < k; j++) {
            double lambda = eigen.getEigenvalue(j);
            double[] vector = eigen.getEigenvector(j).toArray();
            if (lambda <= NULL * greatest) {
                for (int i = 0; i < k; i++) {
                    nullShare[i] += vector[i] * vector[i];
                }
                continue;
            }
            double dot = 0;
            for (int i = 0; i < k; i++) {
                dot += vector[i] * right[i];
            }
            for (int i = 0; i < k; i++) {
                coefficients[i] += vector[i] * dot / lambda;
                variance[i] += vector[i] * vector[i] / lambda;
            }
        }
        double[] errors = new double[k];
        for (int i = 0; i < k; i++) {
            errors[i] = nullShare[i] > NO_PART ? Double.POSITIVE_INFINITY : Math.sqrt(variance[i]);
        }
        return new PartialFit(coefficients, errors);
    }

    /** Best value; only to be believed on its own when {@link #standardError} is small. */
    public double coefficient(int i) {
        return coefficients[i];
    }

    /** Standard error as a multiple of the standard error of one reading; infinite when the data leave it open. */
    public double standardError(int i) {
        return standardErrors[i];
    }
}
