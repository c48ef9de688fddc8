package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.quantity.Length;
import java.util.List;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BladeSetTest {
    private static final BladeSet SET = new BladeSet(DoubleStream.of(0.03, 0.05, 0.08, 0.1, 0.15, 0.2)
            .mapToObj(Length::roundedFromMm)
            .toList());

    @ParameterizedTest
    @CsvSource({
        "0.03, 1",
        "0.15, 1",
        "0.35, 2",
        "0.11, 2",
        "0.33, 3",
        "0.45, 3",
        "0.53, 4",
        "0.61, 1",
        "0.06, 1",
        "0.003, 1",
        "0, 1",
        "0.0999, 1",
        "0.3499, 2",
        "0.5, 4",
        "0.09, 1"
    })
    void fewestLeavesOnceEachThatAreAsThick(String thickness, int leaves) {
        assertEquals(leaves, SET.leaves(Length.ofMm(thickness)));
    }

    @Test
    void aFullSetIsGoneThrough() {
        List<Length> blades = IntStream.rangeClosed(1, 60)
                .mapToObj(i -> Length.roundedFromMm(0.01 * i))
                .toList();
        BladeSet full = new BladeSet(blades);
        for (int i = 61; i <= 119; i++) {
            assertEquals(2, full.leaves(Length.roundedFromMm(0.01 * i)), "hundredths: " + i);
        }
        assertEquals(3, full.leaves(Length.roundedFromMm(1.2)));
        assertEquals(4, full.leaves(Length.roundedFromMm(2.34)));
        assertEquals(1, full.leaves(Length.roundedFromMm(2.35)), "five leaves are none");
    }
}
