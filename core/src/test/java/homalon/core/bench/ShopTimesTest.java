package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.bench.ShopTimes.Learned;
import homalon.core.bench.ShopTimes.Of;
import homalon.core.bench.ShopTimes.Seen;
import homalon.core.bench.ShopTimes.Source;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Operation;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What a shop takes is seen from what is written anyway. */
class ShopTimesTest {
    private static final Instant MONDAY = Instant.parse("2026-11-30T07:00:00Z");
    private static final Of FACE = new Of(Operation.FACE_CHECK, 4);

    private static Seen seen(String casting, Operation operation, String person, double minute) {
        return new Seen(casting, 4, operation, person, MONDAY.plus(Duration.ofSeconds(Math.round(minute * 60))));
    }

    /** One reading a minute. */
    private static List<Seen> read(String casting, String person, double from, int minutes) {
        List<Seen> all = new ArrayList<>();
        for (int i = 0; i <= minutes; i++) {
            all.add(seen(casting, Operation.FACE_CHECK, person, from + i));
        }
        return all;
    }

    private static List<Seen> five(int... minutes) {
        List<Seen> all = new ArrayList<>();
        for (int i = 0; i < minutes.length; i++) {
            all.addAll(read("T-" + i, "Ines", 200.0 * i, minutes[i]));
        }
        return all;
    }

    @Test
    void theMedianOfTheLastTwentyWithItsSpread() {
        assertEquals(Map.of(FACE, new Learned(12, 8, 40, 5)), ShopTimes.learned(five(8, 12, 40, 9, 13)));
        assertEquals(Map.of(FACE, new Learned(11, 8, 40, 6)), ShopTimes.learned(five(8, 12, 40, 9, 13, 9)));
        int[] many = new int[26];
        for (int i = 0; i < many.length; i++) {
            many[i] = i < 6 ? 90 : 10 + i % 3;
        }
        assertEquals(
                Map.of(FACE, new Learned(11, 10, 12, 20)), ShopTimes.learned(five(many)), "the first six are too old");
    }

    @Test
    void fromFewerThanFiveNothingIsLearned() {
        assertEquals(Map.of(), ShopTimes.learned(five(8, 12, 40, 9)));
    }

    @Test
    void theOrderInWhichItIsToldIsAllOne() {
        List<Seen> all = five(8, 12, 40, 9, 13);
        Map<Of, Learned> told = ShopTimes.learned(all);
        Collections.shuffle(all, new Random(3));
        assertEquals(told, ShopTimes.learned(all));
    }

    /** Dinner, a telephone, another casting between: none of it was at this one. */
    @Test
    void whatLiesBetweenIsCutOut() {
        List<Seen> all = five(10, 10, 10, 10);
        all.addAll(read("T-9", "Ines", 1000, 6));
        all.addAll(read("T-9", "Ines", 1000 + 6 + 40, 4));
        assertEquals(10, ShopTimes.learned(all).get(FACE).minutes(), "forty minutes of dinner");
        all.addAll(read("T-8", "Ines", 2000, 3));
        all.add(seen("T-7", Operation.CUT, "Ines", 2008));
        all.addAll(read("T-8", "Ines", 2013, 3));
        assertEquals(new Learned(10, 6, 10, 6), ShopTimes.learned(all).get(FACE), "ten minutes at another's cut");
        List<Seen> edge = five(10, 10, 10, 10);
        edge.addAll(List.of(
                seen("T-9", Operation.FACE_CHECK, "Ines", 1000), seen("T-9", Operation.FACE_CHECK, "Ines", 1015)));
        assertEquals(15, ShopTimes.learned(edge).get(FACE).most(), "a quarter of an hour is still at it");
    }

    /** Two at once: each takes their own time. */
    @Test
    void whatTwoDoBesideEachOtherIsNotMixed() {
        List<Seen> all = five(10, 10, 10, 10);
        all.addAll(read("T-9", "Ines", 1000, 10));
        all.addAll(read("T-8", "Brannoc", 1000.5, 20));
        assertEquals(new Learned(10, 10, 20, 6), ShopTimes.learned(all).get(FACE));
    }

    @Test
    void whatIsWrittenOnceTellsNoTime() {
        List<Seen> all = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            all.add(seen("T-" + i, Operation.CLEAN, "Ines", 5 * i));
        }
        assertEquals(Map.of(), ShopTimes.learned(all));
    }

    /** By another program, or out of a file: all of it within a second. */
    @Test
    void whatWasBroughtInAtOnceTellsNoTime() {
        List<Seen> all = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            all.addAll(List.of(
                    seen("T-" + i, Operation.FACE_CHECK, "Ines", 100 * i),
                    seen("T-" + i, Operation.FACE_CHECK, "Ines", 100 * i + 0.9)));
        }
        assertEquals(Map.of(), ShopTimes.learned(all));
    }

    @Test
    void whatIsSaidGoesBeforeWhatIsLearnedAndThatBeforeTheGeneralValue() {
        Of proof = new Of(Operation.PROOF, 4);
        Of cut = new Of(Operation.CUT, 4);
        Learned learned = new Learned(12, 8, 40, 5);
        ShopTimes times = new ShopTimes(Map.of(proof, 7), Map.of(FACE, learned, proof, learned));
        assertEquals(Source.SAID, times.source(proof));
        assertEquals(OptionalInt.of(7), times.hands(proof));
        assertEquals(Source.LEARNED, times.source(FACE));
        assertEquals(OptionalInt.of(12), times.hands(FACE));
        assertEquals(Source.GENERAL, times.source(cut));
        assertEquals(OptionalInt.empty(), times.hands(cut));
    }

    /** A dwell takes as long as it takes, whoever waits; hands are as quick as they are. */
    @Test
    void onlyWhatIsInHandsIsStretched() {
        Of cracks = new Of(Operation.CRACK_CHECK, 4);
        UsualTime usual = UsualTimes.of(Operation.CRACK_CHECK, Material.CAST_IRON);
        JobSize plain = JobSizes.of(PartKind.HEAD, 4, Map.of(), 0).apply(Operation.CRACK_CHECK);
        ShopTimes times = new ShopTimes(Map.of(cracks, 54), Map.of());
        JobSize own = times.on(JobSizes.of(PartKind.HEAD, 4, Map.of(), 0)).apply(Operation.CRACK_CHECK);
        List<Piece> before = usual.of(plain);
        List<Piece> after = usual.of(own);
        assertEquals(27, before.get(0).minutes() + before.get(2).minutes(), "by the general values");
        assertEquals(54, after.get(0).minutes() + after.get(2).minutes());
        assertEquals(before.get(1), after.get(1), "the dwell");
        assertEquals(2 * before.get(0).minutes(), after.get(0).minutes());
        assertEquals(before, usual.of(times.on(o -> plain).apply(Operation.PROOF)), "nothing is said of another");
    }
}
