package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DecayTest {
    private static Decay.Reading reading(double minute, double bar, double celsius) {
        return new Decay.Reading(minute, bar, OptionalDouble.of(celsius));
    }

    private static Decay dry(Decay.Reading... readings) {
        return Decay.of(List.of(readings), false, Decay.Bubbles.NONE, Decay.Asked.DEFAULT);
    }

    /** One kelvin is worth about 14 mbar at 3 bar. */
    @Test
    void airThatCoolsIsNoLeak() {
        Decay held = dry(reading(0, 3.000, 22), reading(10, 2.945, 18));
        assertEquals(0.0, held.lost(), 0.002);
        assertEquals(Verdict.WITHIN, held.verdict());
        assertEquals(0.0137, dry(reading(0, 3, 20), reading(10, 3, 21)).lost(), 1e-4);
    }

    @Test
    void airThatWarmsHidesALeak() {
        Decay leak = dry(reading(0, 3.000, 18), reading(10, 2.995, 22));
        assertTrue(leak.lost() > 0.05, () -> "lost " + leak.lost());
        assertEquals(Verdict.OUT, leak.verdict());
    }

    /** A closed bottle with dry gas and water in it: whatever the temperature does, nothing is lost. */
    @Test
    void waterInTheJacketAddsItsVapour() {
        double dryAtZero = (3 + Decay.ATMOSPHERE - Decay.vapour(60)) / (60 + 273.15);
        double after = dryAtZero * (45 + 273.15) + Decay.vapour(45) - Decay.ATMOSPHERE;
        List<Decay.Reading> readings = List.of(reading(0, 3, 60), reading(12, after, 45));
        assertEquals(
                0,
                Decay.of(readings, true, Decay.Bubbles.NONE, Decay.Asked.DEFAULT)
                        .lost(),
                1e-9);
        assertTrue(Decay.of(readings, false, Decay.Bubbles.NONE, Decay.Asked.DEFAULT)
                        .lost()
                > 0.05);
        // Steam tables: 100 degrees is one atmosphere, 20 degrees 23.4 mbar.
        assertEquals(1.0132, Decay.vapour(100), 0.002);
        assertEquals(0.02339, Decay.vapour(20), 0.0001);
    }

    @Test
    void notProvenIsNeverGood() {
        assertEquals(Verdict.NOT_PROVEN, dry().verdict());
        assertEquals(Verdict.NOT_PROVEN, dry(reading(0, 3, 20)).verdict());
        assertEquals(
                Verdict.NOT_PROVEN, dry(reading(0, 3, 20), reading(6, 3, 20)).verdict());
        Decay untold = dry(reading(0, 3, 20), new Decay.Reading(10, 3, OptionalDouble.empty()));
        assertEquals(Verdict.NOT_PROVEN, untold.verdict());
        assertTrue(English.of(untold.why()).contains("temperature"));
        assertEquals(
                Verdict.OUT,
                Decay.of(List.of(), false, Decay.Bubbles.SEEN, Decay.Asked.DEFAULT)
                        .verdict());
        List<Decay.Reading> held = List.of(reading(0, 3, 20), reading(10, 3, 20));
        assertEquals(
                Verdict.NOT_PROVEN,
                Decay.of(held, false, Decay.Bubbles.NOT_LOOKED, Decay.Asked.DEFAULT)
                        .verdict());
        // What was lost in four minutes is lost: nobody waits for the tenth.
        assertEquals(Verdict.OUT, dry(reading(0, 3, 20), reading(4, 2.9, 20)).verdict());
    }

    /** One fall of pressure: of a small jacket next to nothing leaks, of a large one a lot. */
    @ParameterizedTest
    @CsvSource({
        // volume, lost in ten minutes, leak, verdict
        "200, 0.4, 7.895, WITHIN",
        "200, 0.6, 11.843, OUT",
        "20000, 0.004, 7.895, WITHIN",
        "20000, 0.006, 11.843, OUT",
        "2026.5, 0.05, 10, WITHIN"
    })
    void whatLeaksIsAskedOfAKnownVolume(double volume, double lost, double leak, Verdict verdict) {
        Decay.Asked asked = new Decay.Asked(10, 0.05, OptionalDouble.of(volume));
        Decay decay = Decay.of(List.of(reading(0, 3, 20), reading(10, 3 - lost, 20)), false, Decay.Bubbles.NONE, asked);
        assertEquals(leak, decay.leak(asked).getAsDouble(), 1e-3);
        assertEquals(verdict, decay.verdict());
        assertTrue(decay.leak(Decay.Asked.DEFAULT).isEmpty(), "without a volume nobody knows");
    }

    /** Held longer, as much more may be lost; what the whole time allows, lost sooner, is out at once. */
    @ParameterizedTest
    @CsvSource({"20, 0.9, WITHIN", "20, 1.1, OUT", "5, 0.4, NOT_PROVEN", "5, 0.6, OUT"})
    void theLeakIsARate(double minutes, double lost, Verdict verdict) {
        Decay.Asked asked = new Decay.Asked(10, 0.05, OptionalDouble.of(202.65));
        assertEquals(0.5, asked.mostLost(), 1e-9);
        assertEquals(
                verdict,
                Decay.of(List.of(reading(0, 6, 20), reading(minutes, 6 - lost, 20)), false, Decay.Bubbles.NONE, asked)
                        .verdict());
    }

    /** Sixty kelvin is more than anything cools by: what falls further leaks, whether or not somebody read how warm it was. */
    @ParameterizedTest
    @CsvSource({
        // first and last reading, dry or wet, verdict
        "3, , 2.20, , false, NOT_PROVEN",
        "3, , 2.17, , false, OUT",
        "3, , 1.97, , true, NOT_PROVEN",
        "3, , 1.30, , true, OUT",
        "3, 20, 2.18, 1, false, OUT",
        "3, 90, 2.30, 1, false, OUT",
        "3, 90, 2.36, 35, false, WITHIN"
    })
    void noCoolingExplainsSuchAFall(
            double bar, Double celsius, double then, Double after, boolean wet, Verdict verdict) {
        Decay decay = Decay.of(
                List.of(
                        new Decay.Reading(
                                0, bar, celsius == null ? OptionalDouble.empty() : OptionalDouble.of(celsius)),
                        new Decay.Reading(10, then, after == null ? OptionalDouble.empty() : OptionalDouble.of(after))),
                wet,
                Decay.Bubbles.NONE,
                Decay.Asked.DEFAULT);
        assertEquals(verdict, decay.verdict(), English.of(decay.why()));
    }

    @Test
    void readingsThatNoTestGivesAreRefused() {
        assertThrows(BadInputException.class, () -> dry(reading(0, 3, 20), reading(0, 3, 20)));
        assertThrows(BadInputException.class, () -> dry(reading(0, 45, 20)));
        assertThrows(BadInputException.class, () -> dry(reading(0, 3, 300)));
    }

    /** To what is kept: 0.7 psi is 48 thousandths of a bar, and one more is another limit. */
    @Test
    void whatWasKeyedIsToldFromTheDefault() {
        BookDefaults thou = BookDefaults.of(BenchUnit.THOU);
        assertTrue(new Decay.Asked(10, 0.048, OptionalDouble.empty()).isUsual(thou));
        assertFalse(new Decay.Asked(10, 0.049, OptionalDouble.empty()).isUsual(thou));
        BookDefaults mm = BookDefaults.of(BenchUnit.MM);
        assertTrue(new Decay.Asked(10, 0.05, OptionalDouble.empty()).isUsual(mm));
        assertFalse(new Decay.Asked(10, 0.051, OptionalDouble.empty()).isUsual(mm));
        assertFalse(new Decay.Asked(11, 0.05, OptionalDouble.empty()).isUsual(mm));
        assertFalse(new Decay.Asked(10, 0.05, OptionalDouble.of(5000)).isUsual(mm));
    }
}
