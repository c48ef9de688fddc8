package homalon.core.numeric;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;

import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rows off another row: to the bit what one after the other gives, and nothing outside of the columns that are asked for. */
class RowsTest {
    private static final int COLUMNS = 13;

    @ParameterizedTest
    @CsvSource({
        "0, 0, 0, 13", "1, 0, 0, 13", "3, 2, 0, 13", "4, 0, 0, 13", "5, 1, 2, 9", "8, 0, 12, 13", "11, 3, 5, 5", "11, 3, 0, 12"
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
}
