package homalon.core.surface;

import homalon.core.geometry.Spot;
import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/** Heights at many places, given the readings and the height of the local part: most likely ones, spread, and whole faces. */
final class ConditionedDraws {
    /** What is left of a place's variance is dropped below this, mm2: a third of a micrometre. */
    private static final double NOTHING = 1e-7;

    private static final int MOST_DIRECTIONS = 160;

    private final Conditioned surface;
    private final List<Spot> places;
    private final int count;
    /** L^-1 K(read, places), row by row. */
    private final double[][] cross;

    private final double[] mean;
    private final double[] variance;
    private final PlacesAsked asked;
    /** Worked out when first asked for: of a level that is hardly likely no face may be drawn. */
    private double @Nullable [][] directions;

    /** For each fault that was drawn, see {@link #left}. */
    private final Map<Integer, double[]> lefts = new HashMap<>();

    ConditionedDraws(Conditioned surface, PlacesAsked asked) {
        this.surface = surface;
        this.places = asked.places();
        this.count = asked.count();
        this.cross = surface.whitenedCross(asked);
        this.mean = timesCross(surface.whitened());
        this.variance = new double[count];
        Arrays.setAll(variance, j -> Math.max(0, surface.variance(asked, j) - columnSquare(j)));
        this.asked = asked;
    }

    /** Directions in which the face is still free, one row each: their sum of squares is the covariance that is left. */
    private synchronized double[][] directions() {
        if (directions == null) {
            directions = PivotedFactor.directions(variance, this::column, NOTHING, MOST_DIRECTIONS);
        }
        return directions;
    }

    /** For each place the sum over the readings of one factor each times its column. */
    private double[] timesCross(double[] factors) {
        double[] sum = new double[count];
        for (int i = 0; i < factors.length; i++) {
            double f = factors[i];
            double[] row = cross[i];
            for (int j = 0; j < count; j++) {
                sum[j] += f * row[j];
            }
        }
        return sum;
    }

    private double columnSquare(int j) {
        double sum = 0;
        for (int i = 0; i < surface.readings(); i++) {
            double c = cross[i][j];
            sum += c * c;
        }
        return sum;
    }

    /** Covariance that the readings leave between every place and one of them. */
    private double[] column(int pivot) {
        double[] column = surface.covariances(asked, pivot);
        double[] at = new double[cross.length];
        Arrays.setAll(at, i -> cross[i][pivot]);
        Rows.subtract(column, cross, cross.length, at, 0);
        return column;
    }

    /** The most likely height of a face without a fault, mm. */
    double mean(int place) {
        return mean[place];
    }

    /** Standard deviation of that height, plane and all, mm. */
    double spread(int place) {
        return Math.sqrt(variance[place]);
    }

    /** Covariance that is left between two places, mm2, without a fault. */
    double covariance(int a, int b) {
        double sum = 0;
        for (double[] direction : directions()) {
            sum += direction[a] * direction[b];
        }
        return sum;
    }

    /** A whole face without a fault. */
    double[] plain(Random random) {
        double[] z = mean.clone();
        for (double[] direction : directions()) {
            double by = random.nextGaussian();
            for (int j = 0; j < count; j++) {
                z[j] += by * direction[j];
            }
        }
        return z;
    }

    /** Ways of faults in proportion to their weights, evenly spaced along them. */
    Picker picker(int picks, Random random) {
        return new Picker(picks, random);
    }

    final class Picker {
        private final double step;
        private double at;
        private int fault = -1;
        private double passed;

        private Picker(int picks, Random random) {
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
    void add(double[] z, int fault, Random random) {
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
        double[] shown = timesCross(surface.whitenedFault(fault));
        double[] left = new double[count];
        for (int j = 0; j < count; j++) {
            left[j] = shape.shape().at(places.get(j).x(), places.get(j).y()) - shown[j];
        }
        return left;
    }

    private double amplitude(int fault, boolean oneWay, Random random) {
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
