package homalon.core.money;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What risks may add. */
class SpreadTest {
    private static Spread.One alone(double chance, long adds) {
        return new Spread.One(chance, "", adds);
    }

    private static List<Spread.One> some(int many, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Spread.One> all = new ArrayList<>();
        for (int i = 0; i < many; i++) {
            String with = random.nextInt(3) == 0 ? "overheated" : "";
            all.add(new Spread.One(random.nextDouble(), with, 100L * (1 + random.nextInt(400))));
        }
        return all;
    }

    @Test
    void nothingAddsNothing() {
        Spread none = Spread.of(List.of());
        assertEquals(List.of(new Spread.Step(0, 1)), none.steps());
        assertEquals(0, none.worst());
        assertEquals(0, none.keptIn(80));
    }

    @Test
    void twoThatComeByThemselvesComeTogetherSeldom() {
        Spread two = Spread.of(List.of(alone(0.5, 100), alone(0.2, 1000)));
        assertEquals(
                List.of(0L, 100L, 1000L, 1100L),
                two.steps().stream().map(Spread.Step::amount).toList());
        double[] chances = {0.4, 0.4, 0.1, 0.1};
        for (int i = 0; i < chances.length; i++) {
            assertEquals(chances[i], two.steps().get(i).chance(), 1e-12);
        }
        assertEquals(100, two.keptIn(80), "just");
        assertEquals(1000, two.keptIn(81));
        assertEquals(250, two.mean(), 1e-9);
    }

    @Test
    void whatHangsTogetherComesTogether() {
        Spread both =
                Spread.of(List.of(new Spread.One(0.5, "overheated", 100), new Spread.One(0.2, "overheated", 1000)));
        assertEquals(
                List.of(0L, 100L, 1100L),
                both.steps().stream().map(Spread.Step::amount).toList());
        assertEquals(0.2, both.steps().get(2).chance(), 1e-12);
        assertEquals(250, both.mean(), 1e-9, "on average it makes no difference");
        assertEquals(1100, both.keptIn(81), "at the far end it does");
    }

    /** Against every yes and no of fifteen, written down. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4})
    void fifteenAreCountedOut(long seed) {
        List<Spread.One> risks =
                some(15, seed).stream().map(r -> alone(r.chance(), r.adds())).toList();
        TreeMap<Long, Double> all = new TreeMap<>();
        for (int bits = 0; bits < 1 << 15; bits++) {
            long sum = 0;
            double chance = 1;
            for (int i = 0; i < 15; i++) {
                boolean comes = (bits >> i & 1) == 1;
                sum += comes ? risks.get(i).adds() : 0;
                chance *= comes ? risks.get(i).chance() : 1 - risks.get(i).chance();
            }
            all.merge(sum, chance, Double::sum);
        }
        Spread spread = Spread.of(risks);
        assertTrue(spread.exact());
        assertEquals(
                List.copyOf(all.keySet()),
                spread.steps().stream().map(Spread.Step::amount).toList());
        spread.steps().forEach(s -> assertEquals(all.get(s.amount()), s.chance(), 1e-12));
        assertEquals(all.lastKey(), spread.worst());
        assertEquals(risks.stream().mapToDouble(r -> r.chance() * r.adds()).sum(), spread.mean(), 1e-6);
    }

    /** Counted out, drawn a million times and drawn as usual tell the same. */
    @ParameterizedTest
    @ValueSource(longs = {5, 6, 7})
    void aMillionDrawsTellTheSame(long seed) {
        List<Spread.One> risks = some(15, seed);
        Spread counted = Spread.counted(risks);
        Spread million = Spread.drawn(risks, 1_000_000, 11);
        double scale = counted.worst();
        assertEquals(counted.mean(), million.mean(), 0.001 * scale);
        assertEquals(counted.worst(), million.worst());
        for (int kept : new int[] {50, 80, 95}) {
            assertEquals((double) counted.keptIn(kept), (double) million.keptIn(kept), 0.01 * scale);
            assertEquals(
                    (double) counted.keptIn(kept),
                    (double) Spread.drawn(risks, 20_000, 12).keptIn(kept),
                    0.02 * scale);
        }
    }

    @Test
    void moreThanFifteenAreDrawnAndAlikeEachTime() {
        List<Spread.One> risks = some(16, 9);
        Spread drawn = Spread.of(risks);
        assertFalse(drawn.exact());
        assertEquals(drawn, Spread.of(risks));
        assertEquals(
                risks.stream().mapToLong(Spread.One::adds).sum(), drawn.worst(), "the worst is not left to chance");
    }

    @Test
    void whatNeverComesIsNotInTheWorst() {
        assertEquals(100, Spread.of(List.of(alone(0.1, 100), alone(0, 900))).worst());
        assertThrows(IllegalArgumentException.class, () -> alone(1.01, 5));
        assertThrows(IllegalArgumentException.class, () -> alone(Double.NaN, 5));
    }
}
