package homalon.core.surface;

import homalon.core.geometry.Spot;
import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.random.RandomGenerator;

/** Heights at many places, given the readings and the height of the local part: most likely ones, spread, and whole faces. */
final class ConditionedDraws {
    private final Conditioned surface;
    private final LocalDraws local;
    private final List<Spot> places;
    private final int count;
    private final double[] mean;
    /** Directions in which plane and bends are still free, with what the local part makes of them: one row each. */
    private final double[][] bends;

    /** For each fault that was drawn, see {@link #left}. */
    private final Map<Integer, double[]> lefts = new HashMap<>();

    /** @param local of the height that this level's local part has */
    ConditionedDraws(Conditioned surface, LocalDraws local) {
        this.surface = surface;
        this.local = local;
        this.places = local.asked().places();
        this.count = places.size();
        this.bends = surface.readings().weighed(local.terms());
        this.mean = local.mean().clone();
        Rows.add(mean, bends, surface.readings().shown());
    }

    /** The most likely height of a face without a fault, mm. */
    double mean(int place) {
        return mean[place];
    }

    /** Standard deviation of that height, plane and all, mm. */
    double spread(int place) {
        double sum = local.variance()[place];
        for (double[] direction : bends) {
            sum += direction[place] * direction[place];
        }
        return Math.sqrt(Math.max(0, sum));
    }

    /** Covariance that is left between two places, mm2, without a fault. */
    double covariance(int a, int b) {
        double sum = 0;
        for (double[] direction : bends) {
            sum += direction[a] * direction[b];
        }
        for (double[] direction : local.directions()) {
            sum += direction[a] * direction[b];
        }
        return sum;
    }

    /** A whole face without a fault. */
    double[] plain(RandomGenerator random) {
        double[] z = mean.clone();
        Rows.add(z, bends, normals(bends.length, random));
        double[][] free = local.directions();
        Rows.add(z, free, normals(free.length, random));
        return z;
    }

    private static double[] normals(int count, RandomGenerator random) {
        double[] all = new double[count];
        Arrays.setAll(all, k -> random.nextGaussian());
        return all;
    }

    /** Ways of faults in proportion to their weights, evenly spaced along them. */
    Picker picker(int picks, RandomGenerator random) {
        return new Picker(picks, random);
    }

    final class Picker {
        private final double step;
        private double at;
        private int fault = -1;
        private double passed;

        private Picker(int picks, RandomGenerator random) {
            double all = 1 - surface.weight(0);
            this.step = picks == 0 ? 0 : all / picks;
            this.at = step * random.nextDouble();
        }

        int next() {
            while (fault < 0 || (passed < at && fault + 1 < surface.faults().size())) {
                fault++;
                passed += surface.weight(fault + 1);
            }
            at += step;
            return fault;
        }
    }

    /** Adds a fault of that number, as large as the readings let it be. */
    void add(double[] z, int fault, RandomGenerator random) {
        FaultShape shape = surface.faults().get(fault);
        double amplitude = amplitude(fault, shape.fault().oneWay(), random);
        double[] left = lefts.computeIfAbsent(fault, this::left);
        for (int j = 0; j < count; j++) {
            z[j] += amplitude * left[j];
        }
    }

    /** What a fault of 1 mm adds to each place beyond what the readings would have shown of it. */
    private double[] left(int fault) {
        FaultShape shape = surface.faults().get(fault);
        double[] whitened = surface.whitenedFault(fault);
        double[] shown = whitened.length == 0 ? new double[count] : local.shown(whitened);
        Rows.add(shown, bends, surface.weighedFault(fault));
        double[] left = new double[count];
        for (int j = 0; j < count; j++) {
            left[j] = shape.shape().at(places.get(j).x(), places.get(j).y()) - shown[j];
        }
        return left;
    }

    private double amplitude(int fault, boolean oneWay, RandomGenerator random) {
        double m = surface.amplitudeMean(fault);
        double s = Math.sqrt(surface.amplitudeVariance(fault));
        if (!oneWay) {
            return m + s * random.nextGaussian();
        }
        // From what lies above nothing, by its share from below.
        double under = Normal.below(-m / s);
        return Math.max(0, m + s * Normal.quantile(under + (1 - under) * random.nextDouble()));
    }
}
