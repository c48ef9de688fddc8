package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerSurvey.Kind;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.sim.FeelerHand;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class FeelersTest {
    private static final Box BOX = new Box(0, 0, 412, 150);

    private static FeelerSurvey survey(List<FeelerLine> lines, double limit, Kind kind) {
        return new FeelerSurvey(BOX, FeelerHand.THINNEST, lines, limit, kind);
    }

    private static SeededFace smooth(Random random) {
        double reach = 0.15 * random.nextDouble();
        return new SeededFace(
                BOX,
                random.nextGaussian() * 0.2,
                random.nextGaussian() * 0.1,
                reach * random.nextGaussian() / 2,
                reach * random.nextGaussian() / 3,
                reach * random.nextGaussian() * 2,
                List.of());
    }

    /** Greatest bow under a fine fan of chords, from the shape itself. */
    private static double bow(SeededFace face) {
        double e = face.longBow();
        double f = face.crossBow();
        double d = face.fourthCornerLift() / 4;
        double most = 0;
        for (int i = -400; i <= 400; i++) {
            double t = i / 200.0;
            most = Math.max(most, Math.abs(4 * e + f * t * t + 2 * d * t) / 4);
            most = Math.max(most, Math.abs(e * t * t + 4 * f + 2 * d * t) / 4);
        }
        return most;
    }

    private static boolean holds(Range range, double value) {
        return value >= range.least() - 1e-9 && value <= range.most() + 1e-9;
    }

    @Test
    void whatIsReadOffASmoothFaceAlwaysContainsItAndNoVerdictIsFalse() {
        Random random = new Random(11);
        int settled = 0;
        for (int i = 0; i < 5000; i++) {
            SeededFace face = smooth(random);
            double limit = 0.03 + 0.01 * random.nextInt(5);
            List<FeelerLine> lines = FeelerHand.lines(BOX, 1 + random.nextInt(4)).stream()
                    .map(l -> FeelerHand.findGap(face, l))
                    .toList();
            FeelerResult gap = Feelers.judge(survey(lines, limit, Kind.GAP));
            FeelerResult.Allowed allowed = gap.shape().orElseThrow();
            double zone = BowTwistZone.of(new double[] {face.longBow(), face.crossBow(), face.fourthCornerLift() / 4});
            assertTrue(holds(allowed.longBow(), face.longBow()), () -> "long bow of " + face);
            assertTrue(holds(allowed.crossBow(), face.crossBow()), () -> "cross bow of " + face);
            assertTrue(holds(allowed.fourthCornerLift(), face.fourthCornerLift()), () -> "twist of " + face);
            assertTrue(holds(allowed.zone(), zone), () -> "zone of " + face);
            assertTrue(bow(face) <= gap.gapPossible() + 1e-9);
            assertFalse(gap.verdict() == Verdict.WITHIN && bow(face) > limit + 1e-9, () -> "false within: " + face);
            assertFalse(gap.verdict() == Verdict.OUT && bow(face) < limit - 1e-9, () -> "false out: " + face);
            FeelerResult byZone = Feelers.judge(survey(lines, limit, Kind.ZONE));
            assertFalse(byZone.verdict() == Verdict.WITHIN && zone > limit + 1e-9, () -> "false within: " + face);
            assertFalse(byZone.verdict() == Verdict.OUT && zone < limit - 1e-9, () -> "false out: " + face);
            settled += gap.verdict() == Verdict.NOT_PROVEN ? 0 : 1;
        }
        assertTrue(settled > 250, "only " + settled + " of 400 were settled");
    }

    /** The five lines may all be good and a chord between them not: thinner blades on the lines settle that as well. */
    @Test
    void aGoodFaceIsBroughtWithinByTheTriesThatAreProposed() {
        Random random = new Random(21);
        for (int i = 0; i < 40; i++) {
            SeededFace face = smooth(random);
            double shrink = 0.035 / Math.max(0.035, bow(face));
            SeededFace good = new SeededFace(
                    BOX,
                    0,
                    0,
                    face.longBow() * shrink,
                    face.crossBow() * shrink,
                    face.fourthCornerLift() * shrink,
                    List.of());
            List<FeelerLine> lines = new ArrayList<>(FeelerHand.lines(BOX, 1));
            lines.replaceAll(l -> FeelerHand.findGap(good, l));
            FeelerResult result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
            for (int tries = 0; result.verdict() == Verdict.NOT_PROVEN; tries++) {
                assertTrue(tries < 40, "a dead end: " + good);
                lines = FeelerHand.attempt(good, lines, result.next().orElseThrow());
                result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
            }
            assertEquals(Verdict.WITHIN, result.verdict(), () -> "of " + good);
        }
    }

    @Test
    void theTrySaidToBeNextSettlesItAndNoSoonerThanPromised() {
        Random random = new Random(5);
        int begun = 0;
        for (int i = 0; i < 60; i++) {
            boolean hollow = i % 2 == 0;
            double bow = 0.01 * random.nextGaussian();
            SeededFace face = new SeededFace(BOX, 0, 0, hollow ? Math.abs(bow) : bow, 0, hollow ? 0 : 0.02, List.of());
            List<FeelerLine> lines = new ArrayList<>(FeelerHand.lines(BOX, 1).subList(0, 2 + random.nextInt(3)));
            lines.replaceAll(l -> FeelerHand.findGap(face, l));
            FeelerResult result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
            int promised = result.triesAtBest().orElse(0);
            begun += promised > 0 ? 1 : 0;
            int tries = 0;
            while (result.verdict() == Verdict.NOT_PROVEN) {
                lines = FeelerHand.attempt(face, lines, result.next().orElseThrow());
                result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
                tries++;
            }
            assertEquals(Verdict.WITHIN, result.verdict());
            // Where an edge rocks, the ends have to be tried as well: the promise is for the best case.
            assertTrue(
                    hollow ? promised == tries : promised <= tries, promised + " promised, " + tries + " on " + face);
        }
        assertTrue(begun > 40);
    }

    @Test
    void aTwistIsSeenUnderTheDiagonalsOnly() {
        SeededFace twisted = new SeededFace(BOX, 0.1, 0, 0, 0, 0.3, List.of());
        List<FeelerLine> lines = FeelerHand.lines(BOX, 1).stream()
                .map(l -> FeelerHand.findGap(twisted, l))
                .toList();
        List<FeelerLine> square =
                lines.stream().filter(l -> l.du(BOX) == 0 || l.dv(BOX) == 0).toList();
        FeelerResult alongAndAcross = Feelers.judge(survey(square, 0.05, Kind.GAP));
        assertEquals(0, alongAndAcross.gapProven());
        assertEquals(Verdict.NOT_PROVEN, alongAndAcross.verdict());
        assertTrue(alongAndAcross.next().orElseThrow().judged().name().endsWith("DIAGONAL"));
        FeelerResult all = Feelers.judge(survey(lines, 0.05, Kind.GAP));
        assertEquals(Verdict.OUT, all.verdict());
        assertTrue(all.shape().orElseThrow().fourthCornerLift().least() > 0.2);
    }

    @Test
    void withinNeverRestsOnALineThatWasNotTried() {
        SeededFace flat = new SeededFace(BOX, 0, 0, 0, 0, 0, List.of());
        List<FeelerLine> lines = FeelerHand.lines(BOX, 1).stream()
                .map(l -> FeelerHand.findGap(flat, l))
                .toList();
        assertEquals(
                Verdict.WITHIN, Feelers.judge(survey(lines, 0.05, Kind.GAP)).verdict());
        for (FeelerLine left : lines) {
            List<FeelerLine> rest = lines.stream().filter(l -> !l.equals(left)).toList();
            FeelerResult result = Feelers.judge(survey(rest, 0.05, Kind.GAP));
            boolean judged = result.bows().stream().anyMatch(b -> !b.tried());
            assertEquals(judged ? Verdict.NOT_PROVEN : Verdict.WITHIN, result.verdict());
        }
        assertEquals(
                Verdict.NOT_PROVEN,
                Feelers.judge(survey(List.of(), 0.05, Kind.GAP)).verdict());
    }

    /** Blades and hand leave 0.005 open: what is apart by less only says less; what is apart by more stands out. */
    @ParameterizedTest
    @CsvSource({"0.003, true", "0.0049, true", "0.012, false", "0.03, false"})
    void whatBladesLeaveOpenIsNoContradiction(double over, boolean consistent) {
        SeededFace flat = new SeededFace(BOX, 0, 0, 0, 0, 0, List.of());
        List<FeelerLine> lines = new ArrayList<>(FeelerHand.lines(BOX, 3).stream()
                .map(l -> FeelerHand.findGap(flat, l))
                .toList());
        FeelerLine edge = lines.get(0);
        double thinnest = survey(lines, 0.05, Kind.GAP).thinnest();
        List<Station> stations = new ArrayList<>(edge.stations());
        // As the middle of the line refuses the thinnest blade, a smooth gap here is under that, in the ratio of t (1 -
        // t).
        double t = stations.get(2).at();
        double goes = thinnest * 4 * t * (1 - t) + over;
        stations.set(2, new Station(t, new Tried(OptionalDouble.of(goes), OptionalDouble.of(goes + 0.01))));
        lines.set(0, new FeelerLine(edge.from(), edge.to(), edge.rest(), edge.ends(), stations));
        FeelerResult result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
        assertEquals(consistent, result.consistent());
        if (consistent) {
            // Looser, never tighter: what they allow holds what strict readings of the others allow.
            FeelerResult without = Feelers.judge(survey(lines.subList(1, lines.size()), 0.05, Kind.GAP));
            assertTrue(result.gapPossible() > 0 && result.odd().isEmpty());
            assertTrue(without.consistent());
        }
    }

    @Test
    void aLocalDipContradictsTheRestAndIsNamed() {
        SeededFace flat = new SeededFace(BOX, 0, 0, 0, 0, 0, List.of());
        List<FeelerLine> lines = new ArrayList<>(FeelerHand.lines(BOX, 3).stream()
                .map(l -> FeelerHand.findGap(flat, l))
                .toList());
        FeelerLine edge = lines.get(0);
        List<Station> stations = new ArrayList<>(edge.stations());
        stations.set(2, new Station(stations.get(2).at(), new Tried(OptionalDouble.of(0.04), OptionalDouble.of(0.05))));
        lines.set(0, new FeelerLine(edge.from(), edge.to(), edge.rest(), edge.ends(), stations));
        FeelerResult result = Feelers.judge(survey(lines, 0.05, Kind.GAP));
        assertFalse(result.consistent());
        assertEquals(Verdict.NOT_PROVEN, result.verdict());
        assertEquals(0, result.odd().get(0).line());
        assertEquals(OptionalInt.of(2), result.odd().get(0).station());
        assertEquals(1, result.odd().size());
        assertEquals(OptionalInt.of(0), result.next().orElseThrow().line());
    }

    @Test
    void nothingChangesWhenTheFaceIsMovedTiltedOrTheUnitIsAnother() {
        SeededFace face = new SeededFace(BOX, 0, 0, 0.03, -0.01, 0.08, List.of());
        SeededFace tilted = new SeededFace(BOX, 0.7, -0.4, 0.03, -0.01, 0.08, List.of());
        List<FeelerLine> lines = FeelerHand.lines(BOX, 2).stream()
                .map(l -> FeelerHand.findGap(face, l))
                .toList();
        assertEquals(
                lines,
                FeelerHand.lines(BOX, 2).stream()
                        .map(l -> FeelerHand.findGap(tilted, l))
                        .toList());
        FeelerResult here = Feelers.judge(survey(lines, 0.05, Kind.GAP));
        List<FeelerLine> moved = lines.stream().map(FeelersTest::movedInInches).toList();
        Box box = new Box(1000 / 25.4, -500 / 25.4, 1412 / 25.4, -350 / 25.4);
        FeelerResult there =
                Feelers.judge(new FeelerSurvey(box, FeelerHand.THINNEST / 25.4, moved, 0.05 / 25.4, Kind.GAP));
        assertEquals(here.verdict(), there.verdict());
        assertEquals(here.gapPossible(), there.gapPossible() * 25.4, 1e-9);
        assertEquals(
                here.shape().orElseThrow().zone().least(),
                there.shape().orElseThrow().zone().least() * 25.4,
                1e-8);
    }

    private static FeelerLine movedInInches(FeelerLine l) {
        return new FeelerLine(
                inches(l.from()),
                inches(l.to()),
                l.rest(),
                inches(l.ends()),
                l.stations().stream()
                        .map(s -> new Station(s.at(), inches(s.tried())))
                        .toList());
    }

    private static Spot inches(Spot s) {
        return new Spot((s.x() + 1000) / 25.4, (s.y() - 500) / 25.4);
    }

    private static Tried inches(Tried t) {
        return new Tried(inches(t.goes()), inches(t.refuses()));
    }

    private static OptionalDouble inches(OptionalDouble v) {
        return v.isPresent() ? OptionalDouble.of(v.getAsDouble() / 25.4) : v;
    }

    @Test
    void whatCannotBeIsToldForEveryLine() {
        Tried swapped = new Tried(OptionalDouble.of(0.05), OptionalDouble.of(0.04));
        FeelerLine bad = new FeelerLine(
                new Spot(0, 0),
                new Spot(0, 0),
                Rest.NOT_NOTED,
                Tried.NOTHING,
                List.of(new Station(0.5, swapped), new Station(1.5, Tried.NOTHING)));
        BadInputException e = assertThrows(BadInputException.class, () -> survey(List.of(bad), Double.NaN, Kind.GAP));
        assertEquals(
                List.of("limit", "lines[0]", "lines[0].stations[0]", "lines[0].stations[1]"),
                e.problems().stream().map(BadInputException.Problem::field).toList());
    }
}
