package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BearingsTest {
    @ParameterizedTest
    @CsvSource({"2, 0 96 192", "4, 0 96 192 288 384", "6, 0 96 192 288 384 480 576"})
    void oneMoreThanCylinders(int cylinders, String at) {
        List<Length> wanted = Arrays.stream(at.split(" ")).map(Length::ofMm).toList();
        assertEquals(
                wanted,
                Bearings.proposed(Layout.of(
                        LayoutNumbers.proposed(PartKind.HEAD, cylinders, Length.ofMm("84"), Length.ofMm("96")))));
    }
}
