package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineBook.Rods;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.words.English;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class FillTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "42.6 | 42.6",
                "42,6 | 42.6",
                "3.2-45.8 | 42.6",
                "3.2 45.8 | 42.6",
                "0-50+0-12.4 | 62.4",
                "50+12.4 cc | 62.4",
                ".4-10 | 9.6",
                "0.1-50 + 0.2-0.3 | 50"
            })
    void readsTheBurette(String typed, double cc) {
        assertEquals(cc, Fill.read(typed, 50).cc(), 0, "to the last digit");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "-", "45.8-3.2", "42.6-42.6", "51", "a", "1-2-3", "0-50+", "1e3", "-5", "4.23456"})
    void saysWhatToKeyInstead(String typed) {
        BadInputException e = assertThrows(BadInputException.class, () -> Fill.read(typed, 50));
        assertTrue(English.of(e.sentence()).contains("ey "), English.of(e.sentence()));
    }

    @Test
    void fillsThatAgreeCount() {
        ChamberVolume one = ChamberVolume.of(new double[] {42.6}, 0.2);
        assertFalse(one.settled());
        assertEquals("fill it a second time", English.of(one.next()));
        ChamberVolume two = ChamberVolume.of(new double[] {42.6, 42.9}, 0.1);
        assertTrue(two.settled());
        assertEquals(42.75, two.cc(), 1e-9);
        assertEquals(0.15, two.plusMinus(), 1e-9, "half of what they are apart");
        ChamberVolume apart = ChamberVolume.of(new double[] {42.6, 43.2}, 0.2);
        assertFalse(apart.settled());
        assertTrue(English.of(apart.next()).contains("again"));
        ChamberVolume third = ChamberVolume.of(new double[] {42.6, 43.2, 43.1}, 0.2);
        assertTrue(third.settled());
        assertEquals(43.15, third.cc(), 1e-9);
        assertEquals(List.of(1, 2), third.taken(), "the first is left out, not lost");
        // Two pairs that agree: the later one counts.
        assertEquals(
                43.15,
                ChamberVolume.of(new double[] {42.6, 43.2, 42.5, 43.1}, 0.2).cc(),
                1e-9);
    }

    @Test
    void engineFiguresAreReadInTheBenchsUnits() {
        assertEquals(101.6, EngineItem.BORE.read("4", BenchUnit.THOU), 1e-9);
        assertEquals(1.016, EngineItem.GASKET.read("40", BenchUnit.THOU), 1e-9);
        assertEquals(-0.05, EngineItem.DECK.read("-0.05", BenchUnit.MM), 1e-9);
        assertEquals(16.387064, EngineItem.CROWN.read("1 ci", BenchUnit.MM), 1e-9);
        assertEquals(645.16, EngineItem.OPENING.read("1 in2", BenchUnit.THOU), 1e-9);
        assertEquals(9.5, EngineItem.RATIO_MOST.read("9,5 : 1", BenchUnit.MM), 1e-9);
        for (String bad : new String[] {"40", "0.5", "9.5 cc", "x"}) {
            BadInputException e = assertThrows(
                    BadInputException.class, () -> EngineItem.CLASS_RATIO.read(bad + "9", BenchUnit.MM), bad);
            assertEquals("CLASS_RATIO", e.problems().get(0).field());
        }
    }

    @Test
    void bookKnowsWhatIsMissing() {
        EngineBook empty = EngineBook.empty();
        assertTrue(empty.cylinder(40, OptionalDouble.empty(), OptionalDouble.empty())
                .isEmpty());
        assertEquals(EngineItem.BORE, empty.missingForRatio().get(0));
        assertEquals(1.0, empty.value(EngineItem.SQUEEZE_LEAST));
        assertEquals(
                1.5,
                new EngineBook(Map.of(), Drive.UNKNOWN, Crown.FLAT, Rods.ALUMINIUM_OR_FAST)
                        .value(EngineItem.SQUEEZE_LEAST));
        assertEquals(
                Source.DEFAULT,
                empty.entry(EngineItem.EXHAUST_LEAST).orElseThrow().source());
        // Long gear bends and floats further; where nobody said, the larger stands.
        assertEquals(2.5, empty.value(EngineItem.EXHAUST_LEAST));
        for (Drive drive : Drive.values()) {
            boolean inHead = drive == Drive.CHAIN_OR_BELT || drive == Drive.GEARS;
            EngineBook book = new EngineBook(Map.of(), drive, Crown.FLAT, Rods.IRON);
            assertEquals(inHead ? 1.5 : 2.0, book.value(EngineItem.INTAKE_LEAST), drive.name());
            assertEquals(inHead ? 2.0 : 2.5, book.value(EngineItem.EXHAUST_LEAST), drive.name());
        }
        EngineBook half = empty.with(EngineItem.BANK_HALF, 50);
        assertThrows(BadInputException.class, () -> half.with(EngineItem.FLANGE_LEAN, 45));
    }
}
