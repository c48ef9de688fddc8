package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.words.English;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class BowlsTest {
    private static Bowls of(Optional<Bowls.First> first, double... cc) {
        List<Bowls.Piston> pistons = IntStream.range(0, cc.length)
                .mapToObj(i -> new Bowls.Piston(
                        String.valueOf(i + 1), Double.isNaN(cc[i]) ? OptionalDouble.empty() : OptionalDouble.of(cc[i])))
                .toList();
        return Bowls.of(14, 0.2, pistons, first);
    }

    /** A bowl of 40 mm diameter: 1256.6 mm2, so that 1 mm gives 1.2566 cc. */
    private static final Bowls.First ROUND = new Bowls.First(1, Math.PI * 0.4);

    @ParameterizedTest
    @CsvSource({
        // holds, stands, lacks, deeper
        "14.50, PASSES,      0,    ",
        "14.41, PASSES,      0,    ",
        "14.40, ON_THE_LINE, 0.00, ",
        "14.00, ON_THE_LINE, 0.40, 0.3183",
        "13.60, ON_THE_LINE, 0.80, 0.6366",
        "13.59, FAILS,       0.81, 0.6446",
        "13.00, FAILS,       1.40, 1.1141"
    })
    void eachByItself(double holds, ClassMargin.Standing stands, double lacks, Double deeper) {
        Bowls.One one = of(Optional.of(ROUND), holds).each().get(0);
        assertEquals(stands, one.margin().orElseThrow().standing());
        assertEquals(stands == ClassMargin.Standing.PASSES, one.proven());
        assertEquals(lacks, one.add(), 1e-9);
        assertEquals(deeper == null ? Double.NaN : deeper, one.deeper().orElse(Double.NaN), 1e-4);
    }

    @Test
    void whatIsMilledAsDeepAsToldPasses() {
        for (double holds = 12; holds < 14.4; holds += 0.1) {
            double deeper = of(Optional.of(ROUND), holds).each().get(0).deeper().orElseThrow();
            double after = holds + Math.PI / 4 * 40 * 40 * deeper / 1000;
            assertTrue(of(Optional.empty(), after + 1e-6).proven(), "milled by " + deeper);
        }
    }

    @Test
    void nobodyIsProvenByAnother() {
        Bowls bowls = of(Optional.of(ROUND), 15, Double.NaN, 15);
        assertFalse(bowls.proven());
        assertFalse(bowls.each().get(1).proven());
        assertTrue(bowls.each().get(1).margin().isEmpty());
        assertTrue(of(Optional.empty(), 15, 15).proven());
        assertFalse(of(Optional.empty()).proven(), "no piston proves nothing");
    }

    @Test
    void noDepthWithoutAFirstOne() {
        Bowls.One one = of(Optional.empty(), 13).each().get(0);
        assertTrue(one.deeper().isEmpty());
        assertEquals(1.4, one.add(), 1e-9);
    }

    @Test
    void uncertaintyByHand() {
        // 2 mm gave 2.5 cc: two fills of 0.2 leave 11.31 %, the depth 1 %; of 0.8 mm that is 0.0908.
        Bowls.First first = new Bowls.First(2, 2.5);
        assertEquals(1250, first.floorMm2(), 1e-9);
        assertEquals(0.8, first.depthFor(1), 1e-12);
        assertEquals(0.0909, first.plusMinus(1, 0.2), 2e-4);
        assertEquals(0.0080, first.plusMinus(1, 0), 1e-9);
    }

    @Test
    void theWorkingLeadsToTheDepth() {
        String working = String.join(
                "\n",
                of(Optional.of(new Bowls.First(2, 2.5)), 13.4).working().lines().stream()
                        .map(l -> English.bare(l) + English.lengths(l))
                        .toList());
        assertTrue(working.contains("it passes from 14.4 cc"), working);
        assertTrue(working.contains("1250 mm²"), working);
        assertTrue(working.contains("no. 1: 1.0 cc over that floor"), working);
    }

    @ParameterizedTest
    @CsvSource({"0, 1", "-1, 1", "1, 0", "1, -0.5"})
    void aFirstOneThatIsNone(double deeper, double gave) {
        assertThrows(BadInputException.class, () -> new Bowls.First(deeper, gave));
    }
}
