package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.verdict.Verdict;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;

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
        assertTrue(untold.why().contains("temperature"));
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

    @Test
    void readingsThatNoTestGivesAreRefused() {
        assertThrows(BadInputException.class, () -> dry(reading(0, 3, 20), reading(0, 3, 20)));
        assertThrows(BadInputException.class, () -> dry(reading(0, 45, 20)));
        assertThrows(BadInputException.class, () -> dry(reading(0, 3, 300)));
    }
}
