package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.words.English;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

class FeedsTest {
    private static final Machine SURFACER = new Machine("surfacer", 200, 1200, 3, 20, 900);
    private static final Cutter DISC = new Cutter("disc", Insert.CBN, 300, 6.35, 8);

    private static Feeds.Cut cut(Material metal, boolean steel, double depth, double ra) {
        return new Feeds.Cut(metal, steel, 412, 150, depth, ra);
    }

    @Test
    void speedFeedAndPowerOfAWorkedExample() {
        Feeds f = Feeds.of(SURFACER, DISC, cut(Material.CAST_IRON, false, 0.05, 0.8));
        double rpm = 650_000 / (Math.PI * 300);
        assertEquals(rpm, f.finish().rpm().orElseThrow(), 1e-6);
        double feed = Math.sqrt(0.8e-3 * 31.2 * 6.35);
        assertEquals(feed * rpm, f.finish().tableFeed().orElseThrow(), 1e-6);
        assertEquals((412 + 300) / (feed * rpm), f.finish().minutes().orElseThrow(), 1e-9);
        assertEquals(3500 * 0.05 * 150 * feed * rpm / 60e6, f.power(), 1e-9);
        assertTrue(English.of(f.refused()).isEmpty() && English.of(f.notes()).isEmpty(), f.toString());
    }

    @Test
    void diamondIsRefusedOnIronAndOnSteelInAFace() {
        Cutter diamond = new Cutter("diamond", Insert.PCD, 300, 6.35, 8);
        assertTrue(English.of(Feeds.of(SURFACER, diamond, cut(Material.CAST_IRON, false, 0.05, 0.8))
                        .refused())
                .orElseThrow()
                .contains("boron nitride"));
        assertTrue(English.of(Feeds.of(SURFACER, diamond, cut(Material.ALUMINIUM, true, 0.05, 0.8))
                        .refused())
                .isPresent());
        assertTrue(English.of(Feeds.of(SURFACER, diamond, cut(Material.ALUMINIUM, false, 0.05, 0.8))
                        .refused())
                .isEmpty());
    }

    @Test
    void theMachineIsNeverAskedForMoreThanItHas() {
        Random random = new Random(2);
        for (int i = 0; i < 500; i++) {
            Machine m = new Machine(
                    "m",
                    50 + 400 * random.nextDouble(),
                    500 + 1000 * random.nextDouble(),
                    1 + 5 * random.nextDouble(),
                    10 + 50 * random.nextDouble(),
                    100 + 900 * random.nextDouble());
            Cutter c = new Cutter(
                    "c",
                    Insert.values()[random.nextInt(3)],
                    50 + 350 * random.nextDouble(),
                    0.4 + 8 * random.nextDouble(),
                    8);
            Feeds f = Feeds.of(
                    m, c, cut(Material.values()[random.nextInt(2)], false, 0.05, 0.2 + 3 * random.nextDouble()));
            double rpm = f.finish().rpm().orElseThrow();
            double table = f.finish().tableFeed().orElseThrow();
            assertTrue(rpm >= m.minRpm() - 1e-6 && rpm <= m.maxRpm() + 1e-6);
            assertTrue(table >= m.minFeed() - 1e-6 && table <= m.maxFeed() + 1e-6);
            boolean asWanted = Math.abs(f.finish().ra() - f.wantedRa()) < 1e-6;
            boolean told = English.of(f.notes()).stream().anyMatch(n -> n.contains("table"));
            assertEquals(asWanted, !told, f.toString());
            assertEquals(
                    f.share() > Feeds.MOST_SHARE,
                    English.of(f.notes()).stream().anyMatch(n -> n.contains("% of the spindle")));
            assertEquals(Feeds.MOST_SHARE, f.power() / m.power() * f.deepest() / 0.05, 1e-9);
        }
    }

    @Test
    void figuresThatNoMachineHasAreRefusedAllAtOnce() {
        BadInputException e = assertThrows(BadInputException.class, () -> new Machine("", 500, 100, 0, 10, 5));
        assertEquals(4, e.problems().size());
        assertFalse(assertThrows(BadInputException.class, () -> new Cutter("c", null, 1, 0, 0))
                .problems()
                .isEmpty());
    }

    @Test
    void depthsAreWholeStepsOfTheMachinesOwnDial() {
        Machine usual = new Machine("surfacer", 200, 1200, 3, 20, 900);
        assertEquals(RuleBook.dialStep(BenchUnit.MM), usual.dialStep(BenchUnit.MM));
        assertEquals(RuleBook.dialStep(BenchUnit.THOU), usual.dialStep(BenchUnit.THOU));
        Machine coarse = new Machine("old mill", 60, 900, 7, 15, 1200, Optional.of(Length.ofMm("0.02")));
        assertEquals(Length.ofMm("0.02"), coarse.dialStep(BenchUnit.THOU));
        PassPlan plan = PassPlan.toClean(0.113, PassPlan.Depths.usual(BenchUnit.MM), coarse.dialStep(BenchUnit.MM));
        assertEquals(0, plan.total().nanometres() % Length.ofMm("0.02").nanometres());
        for (String step : new String[] {"0.0004", "0.11"}) {
            assertThrows(
                    BadInputException.class,
                    () -> new Machine("mill", 60, 900, 7, 15, 1200, Optional.of(Length.ofMm(step))));
        }
    }
}
