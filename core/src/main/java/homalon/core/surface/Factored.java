package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.List;
import org.ejml.data.DMatrixRMaj;

/**
 * Readings under one level of a {@link SurfacePrior}: plane and bends, normal with standard deviations D, on top of its local part. With
 * S = 1 + D T M^-1 T' D and its lower factor C, all that a level adds to its {@link LocalPart} is solved in as many numbers as there are
 * terms; what readings of a face without a fault have for themselves.
 */
final class Factored {
    /** Standard deviation of the plane on which the part lies, mm: far more than any support leaves. */
    private static final double PLANE = 1;

    private final LocalPart part;
    private final double[] deviations;
    private final double[] lower;
    /** C^-1 D T M^-1 z. */
    private final double[] shown;

    private final double logEvidence;

    /**
     * @param part of the height that this level's local part has
     * @param noise of the readings
     */
    Factored(SurfacePrior level, LocalPart part, Noise noise) {
        this.part = part;
        this.deviations = deviations(level, noise);
        DMatrixRMaj s = new DMatrixRMaj(Terms.COUNT, Terms.COUNT);
        for (int k = 0; k < Terms.COUNT; k++) {
            for (int l = 0; l < Terms.COUNT; l++) {
                s.set(k, l, (k == l ? 1 : 0) + deviations[k] * part.gram()[k][l] * deviations[l]);
            }
        }
        this.lower = Rows.factor(s);
        double[][] column = new double[Terms.COUNT][];
        Arrays.setAll(column, k -> new double[] {part.shown()[k]});
        this.shown = Arrays.stream(weighed(column)).mapToDouble(row -> row[0]).toArray();
        double log = -0.5 * (part.square() + part.logDeterminant() + part.read().size() * Math.log(2 * Math.PI));
        for (int k = 0; k < Terms.COUNT; k++) {
            log += 0.5 * shown[k] * shown[k] - Math.log(lower[k * Terms.COUNT + k]);
        }
        this.logEvidence = log;
    }

    private static double[] deviations(SurfacePrior prior, Noise noise) {
        double[] all = new double[Terms.COUNT];
        Arrays.fill(all, 0, Terms.PLANE, PLANE);
        List<Double> bends = prior.bends().all();
        for (int k = 0; k < bends.size(); k++) {
            all[Terms.PLANE + k] = bends.get(k);
        }
        all[Terms.SHARED] = noise.curvature();
        return all;
    }

    /** C^-1 D of many columns, one row a term: a level's part of whatever those columns are the terms of. */
    double[][] weighed(double[][] terms) {
        double[][] all = new double[Terms.COUNT][];
        for (int k = 0; k < Terms.COUNT; k++) {
            double by = deviations[k];
            all[k] = terms[k].clone();
            for (int j = 0; j < all[k].length; j++) {
                all[k][j] *= by;
            }
        }
        Rows.solve(lower, all);
        return all;
    }

    LocalPart part() {
        return part;
    }

    /** C^-1 D T M^-1 z. */
    double[] shown() {
        return shown;
    }

    /** Natural logarithm of the density of the readings of a face without a fault. */
    double logEvidence() {
        return logEvidence;
    }
}
