package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.sim.MadeUpBench;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** When it can be ready, as a distribution. */
class PromiseTest {
    private static final Chances CERTAIN = new Chances(0, List.of(), List.of());
    private static final Bench BENCH = MadeUpBench.draw(6, 12, 3);
    private static final Timetable TIMETABLE = ListScheduler.of(BENCH, 20, 1).timetable();

    private static int planned(Bench bench, Timetable timetable, String casting) {
        return timetable.placed().stream()
                .filter(p -> bench.works().stream()
                        .anyMatch(w -> w.id().equals(p.work()) && w.casting().equals(casting)))
                .mapToInt(Placed::to)
                .max()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6, 7, 8})
    void whereNothingIsOpenNothingIsLaterThanPlanned(int seed) {
        Bench bench = MadeUpBench.draw(seed, 10, 2);
        Timetable timetable = ListScheduler.of(bench, 10, 1).timetable();
        Promise.of(bench, timetable, CERTAIN, 1).forEach((casting, promise) -> {
            int end = promise.ends().get(0);
            int planned = planned(bench, timetable, casting);
            assertTrue(end <= planned, () -> casting + " at " + end + ", planned for " + planned);
            assertTrue(end > planned / 2, () -> casting + " at " + end + ", planned for " + planned);
        });
    }

    @Test
    void theDateKeptOftenerIsNoEarlier() {
        Map<String, Promise> all = Promise.of(BENCH, TIMETABLE, Chances.USUAL, 400);
        assertEquals(12, all.size());
        for (Promise one : all.values()) {
            assertTrue(one.keptIn(50) <= one.keptIn(80) && one.keptIn(80) <= one.keptIn(95));
            assertTrue(one.kept(one.keptIn(80)) >= 0.8);
            assertTrue(one.kept(one.keptIn(80) - 1) < 0.8, "no earlier minute would do");
        }
        assertTrue(all.values().stream().anyMatch(p -> p.keptIn(95) > p.keptIn(50) + 30), "times are open");
    }

    @Test
    void theSameQuestionGivesTheSameAnswer() {
        assertEquals(Promise.of(BENCH, TIMETABLE, Chances.USUAL, 50), Promise.of(BENCH, TIMETABLE, Chances.USUAL, 50));
    }

    @Test
    void whatTurnsUpOnceInFourDelaysOnceInFour() {
        String tag = BENCH.works().get(0).casting();
        String last = tag + " bag";
        int sure = Promise.of(BENCH, TIMETABLE, CERTAIN, 1).get(tag).ends().get(0);
        Chances open = new Chances(0, List.of(new Chances.Turn(last, 0.25, 200)), List.of());
        Promise promise = Promise.of(BENCH, TIMETABLE, open, 2000).get(tag);
        assertEquals(0.75, promise.kept(sure), 0.03);
        assertEquals(sure + 200, promise.keptIn(95));
    }

    @Test
    void whatComesLateIsWaitedFor() {
        String tag = BENCH.works().get(0).casting();
        int sure = Promise.of(BENCH, TIMETABLE, CERTAIN, 1).get(tag).ends().get(0);
        Chances open = new Chances(0, List.of(), List.of(new Chances.Arrival(tag + " bag", 0, 3000, 1)));
        Promise promise = Promise.of(BENCH, TIMETABLE, open, 2000).get(tag);
        // Lateness begins at the first open minute: the mean of what is past it.
        double mean = promise.ends().stream()
                .mapToInt(e -> Math.max(0, e - 10))
                .average()
                .orElseThrow();
        assertTrue(mean > sure && mean > 2500, "on average at " + mean);
        assertTrue(promise.keptIn(95) > 3 * promise.keptIn(50), "an arrival late by chance has a long tail");
    }

    @Test
    void aSpreadBelowNothingIsNone() {
        assertThrows(IllegalArgumentException.class, () -> new Chances(-0.1, List.of(), List.of()));
    }

    /** Drawn once more, of the days that are to be kept in 80 of 100 about as many are. */
    @Test
    void aboutAsManyDaysAreKeptAsWasSaid() {
        int kept = 0;
        int all = 0;
        for (int seed = 1; seed <= 40; seed++) {
            Bench bench = MadeUpBench.draw(seed, 5, 2);
            Timetable timetable = ListScheduler.of(bench, 1, 1).timetable();
            Map<String, Promise> told = Promise.of(bench, timetable, Chances.USUAL, 200);
            Map<String, Promise> real = Promise.of(bench, timetable, Chances.USUAL, 1, 900 + seed);
            for (Map.Entry<String, Promise> one : told.entrySet()) {
                all++;
                kept += real.get(one.getKey()).ends().get(0) <= one.getValue().keptIn(80) ? 1 : 0;
            }
        }
        assertEquals(200, all);
        assertEquals(0.8, kept / (double) all, 0.07);
    }
}
