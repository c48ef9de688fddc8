package homalon.core.surface;

import java.util.Arrays;
import java.util.List;

/**
 * What readings make of a face whose local part has one height. Given the kind of fault, heights and amplitude are jointly normal, so
 * that all of it is exact: a mixture over every way in which a fault may lie ({@link Faults}), each with what it has for itself from the readings.
 *
 * <p>With K the covariance of the readings (prior and noise), z the readings and b a fault's heights at them, a two-way amplitude of
 * variance t has the evidence (1 + t q)^(-1/2) exp(t r^2 / (2 (1 + t q))) over no fault, q = b' K^-1 b and r = b' K^-1 z; its
 * posterior is normal about t r / (1 + t q) with variance t / (1 + t q). A one-way amplitude is that, cut at nothing. K^-1 is
 * M^-1 - M^-1 T' D S^-1 D T M^-1 (see {@link LocalPart}, {@link Factored}).
 */
final class Conditioned {
    private final Factored readings;
    private final LocalFaults faults;
    /** C^-1 D T M^-1 b: one row a term, one column a fault that comes near a reading. */
    private final double[][] weighedFaults;

    private final double[] weights;
    private final double[] means;
    private final double[] variances;
    private final double logEvidence;

    /** @param faults behind the local part of those readings */
    Conditioned(Factored readings, LocalFaults faults) {
        this.readings = readings;
        this.faults = faults;
        this.weighedFaults = readings.weighed(faults.terms());
        int count = faults().size();
        this.weights = new double[count + 1];
        this.means = new double[count];
        this.variances = new double[count];
        this.logEvidence = readings.logEvidence() + weigh();
    }

    /** Fills weights, means and variances; answers the logarithm of what faults add to the evidence. */
    private double weigh() {
        double[] q = faults.squares().clone();
        double[] r = faults.shown().clone();
        for (int k = 0; k < Terms.COUNT; k++) {
            double[] row = weighedFaults[k];
            double by = readings.shown()[k];
            for (int j = 0; j < q.length; j++) {
                q[j] -= row[j] * row[j];
            }
            for (int j = 0; j < r.length; j++) {
                r[j] -= by * row[j];
            }
        }
        int near = q.length;
        List<FaultShape> ways = faults();
        double[] logs = new double[ways.size() + 1];
        double none = 1;
        int j = 0;
        for (int f = 0; f < ways.size(); f++) {
            boolean told = j < near && faults.faults().near()[j] == f;
            none -= ways.get(f).weight();
            logs[f + 1] = faults.faults().logWeights()[f] + weigh(f, ways.get(f), told ? q[j] : 0, told ? r[j] : 0);
            j += told ? 1 : 0;
        }
        logs[0] = Math.log(none);
        double most = Arrays.stream(logs).max().orElseThrow();
        Arrays.setAll(weights, f -> Math.exp(logs[f] - most));
        double sum = Arrays.stream(weights).sum();
        for (int f = 0; f < weights.length; f++) {
            weights[f] /= sum;
        }
        return most + Math.log(sum);
    }

    /** Fills mean and variance of its amplitude; answers the logarithm of what it has for itself from the readings. */
    private double weigh(int f, FaultShape fault, double q, double r) {
        double t = fault.size() * fault.size();
        variances[f] = t / (1 + t * q);
        means[f] = variances[f] * r;
        double log = 0.5 * (variances[f] * r * r - Math.log1p(t * q));
        return fault.fault().oneWay() ? log + Math.log(2 * Normal.below(means[f] / Math.sqrt(variances[f]))) : log;
    }

    /** Natural logarithm of the density of the readings under the prior. */
    double logEvidence() {
        return logEvidence;
    }

    /** How likely it is that the face has a fault of that kind. */
    double chanceOf(Fault fault) {
        double sum = 0;
        for (int f = 0; f < means.length; f++) {
            sum += faults().get(f).fault() == fault ? weights[f + 1] : 0;
        }
        return sum;
    }

    // What the draws are made of.

    List<FaultShape> faults() {
        return faults.faults().ways();
    }

    double weight(int component) {
        return weights[component];
    }

    double amplitudeMean(int fault) {
        return means[fault];
    }

    double amplitudeVariance(int fault) {
        return variances[fault];
    }

    /** The level, and what it makes of the readings. */
    Factored readings() {
        return readings;
    }

    /** L^-1 b of one fault; empty where no reading comes near it. */
    double[] whitenedFault(int fault) {
        int column = faults.column(fault);
        return column < 0 ? new double[0] : faults.whitened(column);
    }

    /** C^-1 D T M^-1 b of one fault; nothing of one that no reading comes near. */
    double[] weighedFault(int fault) {
        int column = faults.column(fault);
        return Arrays.stream(weighedFaults)
                .mapToDouble(row -> column < 0 ? 0 : row[column])
                .toArray();
    }
}
