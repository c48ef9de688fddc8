package homalon.core.numeric;

/**
 * Rows of a matrix, each an array of its own: only so does the compiler take several columns in one step of the processor. Four rows at
 * a time are read for one that is written; every column is worked out in the order of the rows, as it would be one after the other.
 */
public final class Rows {
    private Rows() {}

    /**
     * Takes each of the first rows, times its factor, off another.
     *
     * @param from that is written on
     * @param rows at least as long
     * @param count of them
     * @param factors one a row
     * @param first where the factors begin
     */
    public static void subtract(double[] from, double[][] rows, int count, double[] factors, int first) {
        subtract(from, rows, count, factors, first, 0, from.length);
    }

    /**
     * The same in some columns alone.
     *
     * @param least the first column
     * @param end after the last column
     */
    public static void subtract(
            double[] from, double[][] rows, int count, double[] factors, int first, int least, int end) {
        int k = 0;
        for (; k + 3 < count; k += 4) {
            four(from, rows, k, factors, first + k, least, end);
        }
        for (; k < count; k++) {
            one(from, rows[k], factors[first + k], least, end);
        }
    }

    private static void four(double[] from, double[][] rows, int k, double[] factors, int at, int least, int end) {
        double a = factors[at];
        double b = factors[at + 1];
        double c = factors[at + 2];
        double d = factors[at + 3];
        double[] first = rows[k];
        double[] second = rows[k + 1];
        double[] third = rows[k + 2];
        double[] fourth = rows[k + 3];
        for (int j = least; j < end; j++) {
            from[j] = from[j] - a * first[j] - b * second[j] - c * third[j] - d * fourth[j];
        }
    }

    private static void one(double[] from, double[] row, double by, int least, int end) {
        for (int j = least; j < end; j++) {
            from[j] -= by * row[j];
        }
    }
}
