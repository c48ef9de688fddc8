package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * What is local at many places, given the readings and one height of the local part, for terms of nothing; and what a term of 1 leaves at
 * each place once the local part has followed it through the readings.
 */
final class LocalDraws {
    /** What is left of a place's variance is dropped below this, mm2: a third of a micrometre. */
    private static final double NOTHING = 1e-7;

    private static final int MOST_DIRECTIONS = 160;

    private final LocalPart part;
    private final PlacesAsked asked;
    /** L^-1 K(read, places): one row a reading, one column a place. */
    private final double[][] cross;

    private final double[] mean;
    private final double[] variance;
    private final double[][] terms;
    /** Worked out when first asked for: of a height that is hardly likely no face may be drawn. */
    private double @Nullable [][] directions;

    LocalDraws(LocalPart part, PlacesAsked asked) {
        this.part = part;
        this.asked = asked;
        this.cross = new double[asked.alikeRead().length][];
        Arrays.setAll(cross, i -> covariances(asked.alikeRead()[i]));
        part.solve(cross);
        this.mean = shown(part.whitened());
        this.variance = new double[asked.count()];
        Arrays.fill(variance, part.height() * part.height());
        for (double[] row : cross) {
            for (int j = 0; j < variance.length; j++) {
                variance[j] -= row[j] * row[j];
            }
        }
        this.terms = new double[Terms.COUNT][];
        for (int k = 0; k < Terms.COUNT; k++) {
            terms[k] = asked.terms()[k].clone();
            Rows.subtract(terms[k], cross, cross.length, part.term(k), 0);
        }
    }

    private double[] covariances(double[] alike) {
        double[] all = new double[alike.length];
        double square = part.height() * part.height();
        for (int j = 0; j < all.length; j++) {
            all[j] = square * alike[j];
        }
        return all;
    }

    LocalPart part() {
        return part;
    }

    PlacesAsked asked() {
        return asked;
    }

    /** What the local part makes at each place of something at the readings, whitened. */
    double[] shown(double[] whitenedReadings) {
        double[] sum = new double[asked.count()];
        Rows.add(sum, cross, whitenedReadings);
        return sum;
    }

    /** Of what was read, mm. */
    double[] mean() {
        return mean;
    }

    /** Variance that is left of the local part at each place, mm2. */
    double[] variance() {
        return variance;
    }

    /** What a term of 1 leaves: one row a term, one column a place. */
    double[][] terms() {
        return terms;
    }

    /** Directions in which the local part is still free, one row each: their sum of squares is the covariance that is left. */
    synchronized double[][] directions() {
        if (directions == null) {
            double[] left = Arrays.stream(variance).map(v -> Math.max(0, v)).toArray();
            directions = PivotedFactor.directions(left, this::column, NOTHING, MOST_DIRECTIONS);
        }
        return directions;
    }

    /** Covariance that the readings leave between every place and one of them. */
    private double[] column(int pivot) {
        double[] column = covariances(asked.alike().with(pivot));
        double[] at = new double[cross.length];
        Arrays.setAll(at, i -> cross[i][pivot]);
        Rows.subtract(column, cross, cross.length, at, 0);
        return column;
    }
}
