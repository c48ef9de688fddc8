package homalon.core.surface;

import homalon.core.numeric.Rows;
import java.util.Arrays;

/**
 * What faults make of readings behind a local part of one height, M its covariance with theirs: b M^-1 b, b M^-1 z and T M^-1 b for the
 * heights b of each fault at the readings, for 1 mm of it.
 */
final class LocalFaults {
    private final LocalPart part;
    private final FaultsRead faults;
    /** L^-1 b: one row a reading, one column a fault that comes near one. */
    private final double[][] whitened;

    private final double[] squares;
    private final double[] shown;
    private final double[][] terms;

    LocalFaults(LocalPart part, FaultsRead faults) {
        this.part = part;
        this.faults = faults;
        this.whitened = Arrays.stream(faults.heights()).map(double[]::clone).toArray(double[][]::new);
        part.solve(whitened);
        int near = faults.near().length;
        this.squares = new double[near];
        this.shown = new double[near];
        this.terms = new double[Terms.COUNT][near];
        for (double[] row : whitened) {
            for (int j = 0; j < near; j++) {
                squares[j] += row[j] * row[j];
            }
        }
        Rows.add(shown, whitened, part.whitened());
        for (int k = 0; k < Terms.COUNT; k++) {
            Rows.add(terms[k], whitened, part.term(k));
        }
    }

    LocalPart part() {
        return part;
    }

    FaultsRead faults() {
        return faults;
    }

    /** b M^-1 b of those that come near a reading. */
    double[] squares() {
        return squares;
    }

    /** b M^-1 z. */
    double[] shown() {
        return shown;
    }

    /** T M^-1 b: one row a term. */
    double[][] terms() {
        return terms;
    }

    /** Its column among those that come near a reading; below zero where it is none of them. */
    int column(int fault) {
        return Arrays.binarySearch(faults.near(), fault);
    }

    /** L^-1 b of one of those columns. */
    double[] whitened(int column) {
        return Arrays.stream(whitened).mapToDouble(row -> row[column]).toArray();
    }
}
