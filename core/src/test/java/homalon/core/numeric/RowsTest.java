package homalon.core.numeric;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.util.Arrays;
import java.util.Random;
import java.util.stream.IntStream;
import org.ejml.data.DMatrixRMaj;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows of a matrix: to the bit what one after the other gives, and nothing outside of the columns that are asked for. */
class RowsTest {
    private static final int COLUMNS = 13;

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 13",
        "1, 0, 0, 13",
        "3, 2, 0, 13",
        "4, 0, 0, 13",
        "5, 1, 2, 9",
        "8, 0, 12, 13",
        "11, 3, 5, 5",
        "11, 3, 0, 12"
    })
    void everyColumnIsWorkedOutAsByItself(int count, int first, int least, int end) {
        Random random = new Random(7);
        double[][] rows = new double[count][];
        for (int k = 0; k < count; k++) {
            rows[k] = random.doubles(COLUMNS, -1, 1).toArray();
        }
        double[] factors = random.doubles(first + count, -1, 1).toArray();
        double[] from = random.doubles(COLUMNS, -1, 1).toArray();
        double[] wanted = from.clone();
        for (int j = least; j < end; j++) {
            for (int k = 0; k < count; k++) {
                wanted[j] -= factors[first + k] * rows[k][j];
            }
        }
        double[] all = from.clone();
        Rows.subtract(from, rows, count, factors, first, least, end);
        assertArrayEquals(wanted, from);
        Rows.subtract(all, rows, count, factors, first);
        for (int j = least; j < end; j++) {
            assertArrayEquals(new double[] {wanted[j]}, new double[] {all[j]});
        }
    }

    @ParameterizedTest
    @CsvSource({"0", "1", "3", "4", "9"})
    void rowsAreAddedAsOneAfterTheOther(int count) {
        Random random = new Random(9);
        double[][] rows = new double[count][];
        Arrays.setAll(rows, k -> random.doubles(COLUMNS, -1, 1).toArray());
        double[] factors = random.doubles(count, -1, 1).toArray();
        double[] to = random.doubles(COLUMNS, -1, 1).toArray();
        double[] wanted = to.clone();
        for (int j = 0; j < COLUMNS; j++) {
            for (int k = 0; k < count; k++) {
                wanted[j] += factors[k] * rows[k][j];
            }
        }
        Rows.add(to, rows, factors);
        assertArrayEquals(wanted, to);
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "1, 2", "4, 30", "7, 140"})
    void theSumOfProducts(int count, double sum) {
        double[] a = IntStream.rangeClosed(1, count).mapToDouble(i -> i).toArray();
        double[] b = IntStream.rangeClosed(1, count)
                .mapToDouble(i -> count == 1 ? 2 : i)
                .toArray();
        assertEquals(sum, Rows.dot(a, b), 1e-12);
    }

    /** L L' is the matrix, and L times what was solved the columns: more of them than stay near the processor. */
    @ParameterizedTest
    @CsvSource({"1, 1", "5, 3", "9, 64", "12, 150"})
    void whatWasSolvedTimesTheFactorIsWhatItWas(int n, int columns) {
        Random random = new Random(n);
        DMatrixRMaj matrix = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                matrix.set(i, j, (i == j ? 2 : 0) + Math.exp(-Math.abs(i - j)));
            }
        }
        DMatrixRMaj kept = matrix.copy();
        double[] lower = Rows.factor(matrix);
        double[][] rows = new double[n][];
        Arrays.setAll(rows, i -> random.doubles(columns, -1, 1).toArray());
        double[][] solved = Arrays.stream(rows).map(double[]::clone).toArray(double[][]::new);
        Rows.solve(lower, solved);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = 0;
                for (int k = 0; k <= j; k++) {
                    sum += lower[i * n + k] * lower[j * n + k];
                }
                assertEquals(kept.get(i, j), sum, 1e-12);
            }
            for (int c = 0; c < columns; c++) {
                double back = 0;
                for (int k = 0; k <= i; k++) {
                    back += lower[i * n + k] * solved[k][c];
                }
                assertEquals(rows[i][c], back, 1e-12);
            }
        }
    }

    @Test
    void whatIsNoCovarianceIsRefused() {
        assertThrows(IllegalStateException.class, () -> Rows.factor(new DMatrixRMaj(new double[][] {{1, 2}, {2, 1}})));
        assertEquals(0, Rows.factor(new DMatrixRMaj(0, 0)).length);
    }
}
