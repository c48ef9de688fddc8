package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerResult.Judged;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Where the next blade is tried, and which. */
class FeelersNextTest {
    private static final Box BOX = new Box(10, 20, 410, 170);
    private static final SeededFace FLAT = new SeededFace(BOX, 0, 0, 0, 0, 0, List.of());
    private static final Map<Judged, Integer> LAID = Map.of(
            Judged.LOWER_EDGE, 0,
            Judged.UPPER_EDGE, 1,
            Judged.RISING_DIAGONAL, 3,
            Judged.FALLING_DIAGONAL, 4,
            Judged.CROSSWISE, 6);

    private static FeelerSurvey survey(List<FeelerLine> lines, double limit) {
        return new FeelerSurvey(BOX, 0.02, lines, limit, FeelerSurvey.Kind.GAP);
    }

    /** All of the five but one were tried: that one is laid next, from corner to corner, with the limit's blade in its middle. */
    @ParameterizedTest
    @EnumSource(Judged.class)
    void theOneThatWasNotLaidComesNext(Judged missing) {
        List<FeelerLine> all = FeelerHand.lines(BOX, 3);
        List<FeelerLine> lines = new ArrayList<>();
        LAID.forEach((judged, i) -> {
            if (judged != missing) {
                lines.add(FeelerHand.findGap(FLAT, all.get(i)));
            }
        });
        FeelerResult.Try next = Feelers.judge(survey(lines, 0.01)).next().orElseThrow();
        assertEquals(missing, next.judged());
        assertEquals(OptionalInt.empty(), next.line());
        assertEquals(all.get(LAID.get(missing)).from(), next.from());
        assertEquals(all.get(LAID.get(missing)).to(), next.to());
        assertEquals(0.5, next.at());
    }

    /** Between what went in and what did not, halfway: each try takes half of what is open; never a blade that went in there. */
    @ParameterizedTest
    @ValueSource(doubles = {0.005, 0.01, 0.02})
    void theNextBladeHalvesWhatIsOpen(double went) {
        List<FeelerLine> all = FeelerHand.lines(BOX, 3);
        List<FeelerLine> lines = new ArrayList<>();
        for (int i : LAID.values().stream().sorted().toList()) {
            FeelerLine line = all.get(i);
            List<FeelerLine.Station> middle = List.of(new FeelerLine.Station(
                    0.5, new FeelerLine.Tried(OptionalDouble.of(went), OptionalDouble.of(0.15))));
            lines.add(new FeelerLine(
                    line.from(), line.to(), FeelerLine.Rest.SITS_STILL, FeelerLine.Tried.NOTHING, middle));
        }
        FeelerResult result = Feelers.judge(new FeelerSurvey(BOX, 0.02, lines, 0.05, FeelerSurvey.Kind.ZONE));
        FeelerResult.Try next = result.next().orElseThrow();
        Range size = result.bows().stream()
                .filter(b -> b.line() == next.judged())
                .findFirst()
                .orElseThrow()
                .size()
                .orElseThrow();
        assertEquals((size.least() + size.most()) / 2, next.blade(), 1e-9);
        assertTrue(next.blade() > went && next.blade() < 0.15, next.toString());
    }

    /** Laid from the other end it is the same line: all five are tried, and nothing is asked for again. */
    @Test
    void aLineLaidFromTheOtherEndIsTheSame() {
        List<FeelerLine> all = FeelerHand.lines(BOX, 3);
        List<FeelerLine> lines = new ArrayList<>();
        for (int i : LAID.values()) {
            FeelerLine l = all.get(i);
            FeelerLine turned = new FeelerLine(l.to(), l.from(), l.rest(), l.ends(), List.of());
            lines.add(FeelerHand.findGap(FLAT, turned));
        }
        FeelerResult result = Feelers.judge(survey(lines, 0.05));
        assertTrue(result.bows().stream().allMatch(FeelerResult.Bow::tried), result.toString());
        assertEquals(Verdict.WITHIN, result.verdict());
    }

    /** Laid already, it is laid there again. */
    @Test
    void aLineThatWasLaidIsTriedAgainWhereItLies() {
        List<FeelerLine> all = FeelerHand.lines(BOX, 3);
        FeelerLine beside = new FeelerLine(
                new Spot(10, 24), new Spot(410, 24), FeelerLine.Rest.NOT_NOTED, FeelerLine.Tried.NOTHING, List.of());
        List<FeelerLine> lines = new ArrayList<>();
        lines.add(FeelerHand.findGap(FLAT, beside));
        for (int i : new int[] {1, 3, 4, 6}) {
            lines.add(FeelerHand.findGap(FLAT, all.get(i)));
        }
        FeelerResult.Try next = Feelers.judge(survey(lines, 0.01)).next().orElseThrow();
        assertTrue(next.line().isPresent(), next.toString());
        FeelerLine laid = lines.get(next.line().getAsInt());
        assertEquals(laid.from(), next.from());
        assertEquals(laid.to(), next.to());
    }
}
