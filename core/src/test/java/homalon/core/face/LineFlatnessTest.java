package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import java.util.List;
import org.junit.jupiter.api.Test;

class LineFlatnessTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));

    private static FaceJudge.Judgement judged(double longBow, double crossBow, double lift) {
        List<PlaceProposal.Place> places = PlaceProposal.of(LAYOUT, PlaceProposal.Density.CLOSE);
        List<Spot> spots = places.stream().map(PlaceProposal.Place::spot).toList();
        SeededFace face = new SeededFace(LAYOUT.box(), 0.3, -0.2, longBow, crossBow, lift, List.of());
        Points points = face.read(spots, 0, 1);
        return FaceJudge.judge(
                points,
                places.stream().map(PlaceProposal.Place::name).toList(),
                new FaceJudge.Settings(
                        LAYOUT,
                        List.of(
                                FlatnessLimit.along(Length.ofMm("0.05"), Source.MAKER),
                                FlatnessLimit.across(Length.ofMm("0.02"), Source.MAKER)),
                        75,
                        0.001));
    }

    @Test
    void aHollowAlongIsOutAlongAndWithinAcross() {
        List<LimitVerdict> limits = judged(0.08, 0, 0).limits();
        assertEquals(Verdict.OUT, limits.get(0).verdict());
        assertEquals(0.08, limits.get(0).value().orElseThrow(), 0.012);
        assertEquals(Verdict.WITHIN, limits.get(1).verdict());
        assertTrue(limits.get(1).value().orElseThrow() < 0.003);
    }

    @Test
    void aHollowAcrossIsOutAcrossOnly() {
        List<LimitVerdict> limits = judged(0, 0.06, 0).limits();
        // Places of one row stand some millimetres beside each other, on the slope of the hollow.
        assertTrue(limits.get(0).value().orElseThrow() < 0.015, limits.get(0).toString());
        assertEquals(Verdict.OUT, limits.get(1).verdict());
    }

    /** Along and across see nothing of a twist: that is why there are other limits. */
    @Test
    void aTwistIsSeenByNeither() {
        List<LimitVerdict> limits = judged(0, 0, 0.3).limits();
        assertTrue(limits.get(0).value().orElseThrow() < 0.012);
        assertTrue(limits.get(1).value().orElseThrow() < 0.012);
    }
}
