package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.gauge.Sag;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BladeSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FeelerEvidenceTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final Ground GROUND = Ground.of(LAYOUT);
    private static final double Y = LAYOUT.box().y0() + 5;
    private static final Spot FROM = new Spot(LAYOUT.box().x0() + 4, Y);
    private static final Spot TO = new Spot(LAYOUT.box().x1() - 4, Y);

    private static EdgeAtRest edge(double... heights) {
        double[] at = new double[heights.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = (double) i / (at.length - 1);
        }
        return EdgeAtRest.of(at, heights);
    }

    @Test
    void anEdgeBridgesWhatLiesBelowItsEnds() {
        EdgeAtRest hollow = edge(0.04, 0.01, 0, 0.01, 0.02);
        assertEquals(0.03, hollow.gap(2), 1e-12);
        assertEquals(0.025, hollow.gap(1), 1e-12);
        assertEquals(0, hollow.gap(0) + hollow.gap(4), 1e-12);
        assertEquals(0.03, hollow.widest(), 1e-12);
        assertEquals(0, hollow.rock(), 1e-12, "it touches at both ends");
    }

    @Test
    void onACrownItRocksByItsHeightOverTheEnds() {
        EdgeAtRest crowned = edge(0, 0.03, 0.04, 0.03, 0);
        assertEquals(0.04, crowned.rock(), 1e-12);
        assertEquals(0, crowned.gap(2) + crowned.gap(4), 1e-12, "it is held down on the crown");
    }

    /** A rise beside the middle carries it: beyond the rise nothing is told. */
    @Test
    void anEdgeRestsAboutItsMiddle() {
        EdgeAtRest risen = edge(0, 0.02, 0, 0, 0);
        assertEquals(0.02 * 2 / 3, risen.gap(2), 1e-12);
        assertEquals(0, risen.gap(0), 1e-12);
        assertEquals(0.02 * 2 / 3, risen.rock(), 1e-12);
    }

    private static FeelerLine line(Rest rest, Tried ends, Station... stations) {
        return new FeelerLine(FROM, TO, rest, ends, List.of(stations));
    }

    private static Tried tried(double goes, double refuses) {
        return new Tried(
                goes > 0 ? OptionalDouble.of(goes) : OptionalDouble.empty(),
                refuses > 0 ? OptionalDouble.of(refuses) : OptionalDouble.empty());
    }

    private static double log(FeelerLine line, ToDoubleFunction<Spot> face) {
        FeelerEvidence evidence = new FeelerEvidence(List.of(line), GROUND, FeelerEvidence.Tools.USUAL);
        return evidence.log(evidence.spots().stream().mapToDouble(face).toArray());
    }

    /** What a blade finds is the gap less what the edge hangs down. */
    @Test
    void anEdgeThatHangsHidesSoMuch() {
        FeelerLine line = line(Rest.NOT_NOTED, Tried.NOTHING, new Station(0.5, tried(0.05, 0.06)));
        double span = FROM.distance(TO);
        FeelerEvidence hanging = new FeelerEvidence(
                List.of(line), GROUND, new FeelerEvidence.Tools(0.002, 0.003, Sag.ofHeight(10), Optional.empty()));
        FeelerEvidence stiff = new FeelerEvidence(List.of(line), GROUND, FeelerEvidence.Tools.USUAL);
        double[] z = hanging.spots().stream().mapToDouble(bow(0.06)).toArray();
        double hangs = Sag.ofHeight(10).at(0, span, span / 2);
        assertTrue(hangs > 0.005 && hangs < 0.03, hangs + " mm: worth taking off");
        assertEquals(stiff.gaps(z, 0)[0] - hangs, hanging.gaps(z, 0)[0], 1e-12);
        assertEquals(0, hanging.gaps(new double[z.length], 0)[0], 1e-12);
        // A face is as likely under the edge that hangs as one that is less hollow is under a stiff one.
        double[] less = stiff.spots().stream().mapToDouble(bow(0.06 - hangs)).toArray();
        assertEquals(stiff.log(less), hanging.log(z), 1e-9);
        assertEquals(
                stiff.hints().get(0).about() + hangs, hanging.hints().get(0).about(), 1e-12);
    }

    @ParameterizedTest
    @CsvSource({"0.2, 1", "0.3, 2", "0.35, 3"})
    void eachLeafOfAStackAddsWhatIsOpenOfIt(double thickness, int leaves) {
        BladeSet set =
                new BladeSet(Stream.of("0.05", "0.1", "0.2").map(Length::ofMm).toList());
        FeelerEvidence.Tools tools = new FeelerEvidence.Tools(0.004, 0.003, Sag.NONE, Optional.of(set));
        FeelerLine line = line(Rest.NOT_NOTED, Tried.NOTHING, new Station(0.5, tried(thickness, 0)));
        FeelerEvidence evidence = new FeelerEvidence(List.of(line), GROUND, tools);
        // Where the gap is one spread over the blade, it goes in 84 of 100 cases.
        double spread = Math.sqrt(0.003 * 0.003 + leaves * 0.004 * 0.004 + 0.003 * 0.003);
        double[] z =
                evidence.spots().stream().mapToDouble(bow(thickness + spread)).toArray();
        assertEquals(0.99 * 0.841345 + 0.005, Math.exp(evidence.log(z)), 1e-4);
    }

    /** A bow of so much along the line, hollow when above nothing; the stations lie in its middle. */
    private static ToDoubleFunction<Spot> bow(double bow) {
        return s -> bow * Math.pow(2 * (s.x() - FROM.x()) / (TO.x() - FROM.x()) - 1, 2);
    }

    @ParameterizedTest
    @CsvSource({
        "0.02, 0.03, 0.025, likely",
        "0.02, 0.03, 0.03, even",
        "0.02, 0.03, 0.06, unlikely",
        "0.02, 0.03, 0.0, unlikely",
        "0, 0.03, 0.01, likely",
        "0, 0.03, 0.05, unlikely",
        "0.05, 0, 0.2, likely",
        "0.05, 0, 0.02, unlikely"
    })
    void aBladeGoesWhereTheGapIsWider(double goes, double refuses, double bow, String how) {
        double log = log(line(Rest.NOT_NOTED, Tried.NOTHING, new Station(0.5, tried(goes, refuses))), bow(bow));
        double from = how.equals("likely") ? Math.log(0.65) : how.equals("even") ? Math.log(0.3) : Math.log(0.004);
        double to = how.equals("likely") ? 0 : how.equals("even") ? Math.log(0.7) : Math.log(0.01);
        assertTrue(log >= from && log <= to, how + ": " + Math.exp(log));
    }

    @ParameterizedTest
    @CsvSource({
        "SITS_STILL, 0.05, likely",
        "SITS_STILL, -0.002, likely",
        "SITS_STILL, -0.03, unlikely",
        "ROCKS, -0.03, likely",
        "ROCKS, 0.02, unlikely"
    })
    void aHandFeelsACrown(Rest rest, double bow, String how) {
        double log = log(line(rest, Tried.NOTHING), bow(bow));
        assertTrue(how.equals("likely") ? log > Math.log(0.9) : log < Math.log(0.05), how + ": " + Math.exp(log));
    }

    @Test
    void bladesUnderBothEndsTellTheCrown() {
        FeelerLine rocking = line(Rest.ROCKS, tried(0.03, 0.04));
        assertTrue(log(rocking, bow(-0.035)) > log(rocking, bow(-0.05)) + 3);
        assertTrue(log(rocking, bow(-0.035)) > log(rocking, bow(-0.015)) + 3);
    }

    /** Tilt is no shape: an edge follows it. */
    @Test
    void aPlaneChangesNothing() {
        FeelerLine said = line(Rest.SITS_STILL, Tried.NOTHING, new Station(0.25, tried(0.01, 0.02)));
        ToDoubleFunction<Spot> bent = bow(0.02);
        assertEquals(
                log(said, bent), log(said, s -> bent.applyAsDouble(s) + 0.3 + 0.002 * s.x() - 0.004 * s.y()), 1e-9);
    }

    /** No one answer is worth more than a wrong one now and then. */
    @Test
    void oneAnswerIsNeverImpossible() {
        double against = log(line(Rest.SITS_STILL, Tried.NOTHING, new Station(0.5, tried(0.5, 0.6))), bow(0));
        assertTrue(against > Math.log(0.004), "as often as answers are wrong: " + Math.exp(against));
    }

    @Test
    void anAnswerIsDoubtedWhereTheFaceSpeaksAgainstIt() {
        FeelerLine said = line(
                Rest.SITS_STILL, Tried.NOTHING, new Station(0.3, tried(0.01, 0.02)), new Station(0.7, tried(0.2, 0)));
        FeelerEvidence evidence = new FeelerEvidence(List.of(said), GROUND, FeelerEvidence.Tools.USUAL);
        double[] face = evidence.spots().stream().mapToDouble(bow(0.018)).toArray();
        List<FeelerEvidence.Doubted> doubted = evidence.doubted(List.of(face), new double[] {1}, 0.5);
        assertEquals(1, doubted.size());
        assertEquals(1, doubted.get(0).station());
        assertTrue(doubted.get(0).chance() > 0.99);
    }

    @Test
    void aLineThatSaysNothingAsksForNoPlaces() {
        FeelerEvidence evidence =
                new FeelerEvidence(List.of(line(Rest.NOT_NOTED, Tried.NOTHING)), GROUND, FeelerEvidence.Tools.USUAL);
        assertEquals(0, evidence.places());
        assertEquals(0, evidence.log(new double[0]));
        assertEquals(List.of(), evidence.hints());
    }

    /** Bores have no metal to rest on. */
    @Test
    void anEdgeRestsOnMetalOnly() {
        double middle = LAYOUT.bores().get(0).centre().y();
        FeelerLine overBores = new FeelerLine(
                new Spot(FROM.x(), middle),
                new Spot(TO.x(), middle),
                Rest.NOT_NOTED,
                Tried.NOTHING,
                List.of(new Station(0.02, tried(0, 0.03))));
        FeelerEvidence evidence = new FeelerEvidence(List.of(overBores), GROUND, FeelerEvidence.Tools.USUAL);
        double[] risenInABore = evidence.spots().stream()
                .mapToDouble(s ->
                        LAYOUT.bores().stream().anyMatch(b -> b.centre().distance(s) < b.diameter() / 2 - 1) ? 5 : 0)
                .toArray();
        assertEquals(0, java.util.Arrays.stream(risenInABore).sum(), "no place in a bore");
    }
}
