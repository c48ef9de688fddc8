package homalon.core.surface;

import java.util.Arrays;
import java.util.List;

/**
 * What readings make of a face whose local part has one height. Given the kind of fault, heights and amplitude are jointly normal, so
 * that all of it is exact: a mixture over every way in which a fault may lie ({@link Faults}), each with what it has for itself from the readings.
 *
 * <p>With K the covariance of the readings (prior and noise), z the readings and b a fault's heights at them, a two-way amplitude of
 * variance t has the evidence (1 + t q)^(-1/2) exp(t r^2 / (2 (1 + t q))) over no fault, q = b' K^-1 b and r = b' K^-1 z; its
 * posterior is normal about t r / (1 + t q) with variance t / (1 + t q). A one-way amplitude is that, cut at nothing.
 */
final class Conditioned {
    private final Factored readings;
    private final FaultsRead faults;
    /** L^-1 b: one row a reading, one column a fault that comes near one. */
    private final double[][] whitenedFaults;

    private final double[] weights;
    private final double[] means;
    private final double[] variances;
    private final double logEvidence;

    Conditioned(Factored readings, FaultsRead ways) {
        this.readings = readings;
        this.faults = ways;
        int count = ways.ways().size();
        this.whitenedFaults = Arrays.stream(ways.heights()).map(double[]::clone).toArray(double[][]::new);
        this.weights = new double[count + 1];
        this.means = new double[count];
        this.variances = new double[count];
        this.logEvidence = readings.logEvidence() + weigh();
    }

    /** Fills weights, means and variances; answers the logarithm of what faults add to the evidence. */
    private double weigh() {
        int near = faults.near().length;
        readings.solve(whitenedFaults);
        double[] q = new double[near];
        double[] r = new double[near];
        for (int i = 0; i < readings(); i++) {
            double z = readings.whitened()[i];
            double[] row = whitenedFaults[i];
            for (int j = 0; j < near; j++) {
                q[j] += row[j] * row[j];
            }
            for (int j = 0; j < near; j++) {
                r[j] += row[j] * z;
            }
        }
        List<FaultShape> ways = faults.ways();
        double[] logs = new double[ways.size() + 1];
        double none = 1;
        int j = 0;
        for (int f = 0; f < ways.size(); f++) {
            boolean told = j < near && faults.near()[j] == f;
            none -= ways.get(f).weight();
            logs[f + 1] = weigh(f, ways.get(f), told ? q[j] : 0, told ? r[j] : 0);
            j += told ? 1 : 0;
        }
        logs[0] = Math.log(none);
        double most = Arrays.stream(logs).max().orElseThrow();
        double sum = Arrays.stream(logs).map(l -> Math.exp(l - most)).sum();
        for (int f = 0; f < logs.length; f++) {
            weights[f] = Math.exp(logs[f] - most) / sum;
        }
        return most + Math.log(sum);
    }

    /** Fills mean and variance of its amplitude; answers the logarithm of its share of the faces and of what it has for itself. */
    private double weigh(int f, FaultShape fault, double q, double r) {
        double t = fault.size() * fault.size();
        variances[f] = t / (1 + t * q);
        means[f] = variances[f] * r;
        double log = Math.log(fault.weight()) - 0.5 * Math.log1p(t * q) + 0.5 * variances[f] * r * r;
        return fault.fault().oneWay() ? log + Math.log(2 * Normal.below(means[f] / Math.sqrt(variances[f]))) : log;
    }

    /** Natural logarithm of the density of the readings under the prior. */
    double logEvidence() {
        return logEvidence;
    }

    /** How likely it is that the face has a fault of that kind. */
    double chanceOf(Fault fault) {
        double sum = 0;
        for (int f = 0; f < faults.ways().size(); f++) {
            sum += faults.ways().get(f).fault() == fault ? weights[f + 1] : 0;
        }
        return sum;
    }

    // What the draws are made of.

    int readings() {
        return readings.read().size();
    }

    List<FaultShape> faults() {
        return faults.ways();
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

    double[] whitened() {
        return readings.whitened();
    }

    /** Empty where no reading comes near. */
    double[] whitenedFault(int fault) {
        int column = Arrays.binarySearch(faults.near(), fault);
        double[] b = new double[column < 0 ? 0 : readings()];
        for (int i = 0; i < b.length; i++) {
            b[i] = whitenedFaults[i][column];
        }
        return b;
    }

    /** Covariance of one of the places and all of them. */
    double[] covariances(PlacesAsked asked, int place) {
        return readings.covariances(asked.alike().with(place), Terms.at(asked.terms(), place), asked.terms());
    }

    /** Variance of the height at one of the places. */
    double variance(PlacesAsked asked, int place) {
        return readings.variance(Terms.at(asked.terms(), place));
    }

    /** L^-1 K(read, places): one row a reading, one column a place. */
    double[][] whitenedCross(PlacesAsked asked) {
        double[][] read = readings.read().terms();
        double[][] cross = new double[readings()][];
        Arrays.setAll(cross, i -> readings.covariances(asked.alikeRead()[i], Terms.at(read, i), asked.terms()));
        readings.solve(cross);
        return cross;
    }

    ReadPlaces read() {
        return readings.read();
    }
}
