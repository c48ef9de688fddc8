package homalon.core.seats;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.seats.SeatPlan.Asked;
import homalon.core.seats.SeatPlan.Binds;
import homalon.core.seats.SeatPlan.Way;
import homalon.core.words.English;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SeatPlanTest {
    private static Asked asked(double pits, double runout, double targetOuter, double width) {
        return new Asked(
                SeatAngles.of(30, 45, 60),
                34.2,
                31.6,
                OptionalDouble.empty(),
                pits,
                runout,
                targetOuter,
                width,
                35,
                37,
                0.5,
                0,
                0);
    }

    /** Whatever is asked: the edges come where they were wanted, nothing grows, and the face stays the one that was sunk. */
    @Test
    void aPlanMakesWhatWasAskedAndOnlyRemoves() {
        Random random = new Random(11);
        for (int n = 0; n < 500; n++) {
            double face = random.nextBoolean() ? 45 : 30;
            double top = face - 10 - random.nextDouble() * 15;
            double throat = face + 12 + random.nextDouble() * 20;
            boolean four = random.nextBoolean();
            double head = 25 + random.nextDouble() * 25;
            double outer = head - 2.5 + random.nextDouble() * 2;
            double inner = outer - 1 - random.nextDouble() * 4;
            SeatAngles angles =
                    new SeatAngles(top, face, throat, four ? OptionalDouble.of(throat + 8) : OptionalDouble.empty());
            Asked q = new Asked(
                    angles,
                    outer,
                    inner,
                    four ? OptionalDouble.of(inner - 1) : OptionalDouble.empty(),
                    random.nextDouble() * 0.1,
                    random.nextDouble() * 0.1,
                    head - 0.4 - random.nextDouble(),
                    0.8 + random.nextDouble(),
                    head,
                    head + 2,
                    0.5,
                    0,
                    0);
            SeatPlan plan = SeatPlan.of(q);
            assertEquals(q.targetOuter(), 2 * plan.after().outer(), 1e-9);
            assertEquals(q.targetWidth(), plan.after().width(), 1e-9);
            assertTrue(plan.seatSink() >= q.pits() - 1e-12, "the pits are gone");
            double middle = (plan.after().outer() + plan.after().inner()) / 2;
            assertEquals(
                    plan.valveSink(),
                    plan.before().faceAt(middle) - plan.after().at(middle),
                    1e-9,
                    "the valve rests as much lower");
            for (double r = 2; r < head / 2 + 3; r += 0.21) {
                assertTrue(plan.after().at(r) <= plan.before().at(r) + 1e-12, "cuts only remove");
            }
        }
    }

    @Test
    void theLargestNeedBinds() {
        assertEquals(Binds.PITS, SeatPlan.of(asked(0.2, 0.04, 34.2, 1.9)).binds());
        assertEquals(
                0.22 / Math.cos(Math.PI / 4),
                SeatPlan.of(asked(0.2, 0.04, 34.2, 1.9)).seatSink(),
                1e-12);
        assertEquals(Binds.OUTER_EDGE, SeatPlan.of(asked(0.01, 0, 35, 1.5)).binds());
        assertEquals(Binds.WIDTH, SeatPlan.of(asked(0.01, 0, 34.2, 2.4)).binds());
        SeatPlan deep = SeatPlan.of(asked(0.5, 0.1, 34, 1.5));
        assertFalse(deep.feasible());
        assertTrue(English.of(deep.why()).contains("insert"), English.of(deep.why()));
    }

    private static final SeatRange RANGE = new SeatRange(34.0, 34.8, 1.0, 1.5, 0.05);

    private static Asked found(double outer, double inner, double pits, double runout) {
        return new Asked(
                SeatAngles.of(30, 45, 60),
                outer,
                inner,
                OptionalDouble.empty(),
                pits,
                runout,
                34.8,
                1,
                35,
                37,
                0.5,
                0,
                0);
    }

    /** Of all edges and widths that are allowed, none takes less. */
    @Test
    void noOtherSeatOfTheRangeTakesLess() {
        Random random = new Random(23);
        for (int n = 0; n < 300; n++) {
            double outer = 33 + random.nextDouble() * 2;
            double inner = outer - 0.6 - random.nextDouble() * 3;
            Asked q = found(
                            outer,
                            inner,
                            random.nextInt(3) == 0 ? 0 : random.nextDouble() * 0.1,
                            random.nextDouble() * 0.08)
                    .by(random.nextBoolean() ? Way.STONE : Way.CUTTER, random.nextDouble() * 0.1);
            SeatPlan least = SeatPlan.least(q, RANGE);
            double width = least.after().width();
            double edge = 2 * least.after().outer();
            assertTrue(edge >= 34 - 1e-9 && edge <= 34.8 + 1e-9 && width >= 1 - 1e-9 && width <= 1.5 + 1e-9);
            for (double t = 34; t <= 34.8; t += 0.05) {
                for (double w = 1; w <= 1.5; w += 0.05) {
                    Asked other = new Asked(
                            q.angles(),
                            outer,
                            inner,
                            OptionalDouble.empty(),
                            q.pitDepth(),
                            q.runout(),
                            t,
                            w,
                            35,
                            37,
                            0.5,
                            q.least(),
                            0);
                    assertTrue(
                            SeatPlan.of(other).seatSink() >= least.seatSink() - 1e-9,
                            () -> "outer " + outer + " inner " + inner + " takes " + least.seatSink());
                }
            }
        }
    }

    /** A range that allows less never asks for less. */
    @Test
    void aNarrowerRangeNeverMakesASeatCheaper() {
        Random random = new Random(29);
        for (int n = 0; n < 1000; n++) {
            double outer = 33 + random.nextDouble() * 2;
            Asked q = found(outer, outer - 0.6 - random.nextDouble() * 3, random.nextDouble() * 0.1, 0)
                    .by(Way.STONE, 0);
            double from = 33.6 + random.nextDouble();
            double to = from + random.nextDouble() * (35 - from);
            double narrow = 0.8 + random.nextDouble();
            SeatRange wide = new SeatRange(from, to, narrow, narrow + random.nextDouble(), 0.05);
            double least = narrow + (wide.widthMost() - narrow) * random.nextDouble();
            SeatRange tight = new SeatRange(
                    from + (to - from) * random.nextDouble() / 2,
                    to - (to - from) * random.nextDouble() / 2,
                    least,
                    wide.widthMost(),
                    0.05);
            assertTrue(SeatPlan.least(q, tight).seatSink()
                    >= SeatPlan.least(q, wide).seatSink() - 1e-9);
        }
    }

    /** What is inside, true and clean is left; a tool in hand, a pit, a run-out or a neighbour that stands deeper is not. */
    @ParameterizedTest
    @CsvSource({
        "34.4, 32.6, 0, 0, 0, 0, NOTHING",
        "34.4, 32.6, 0, 0.05, 0, 0, NOTHING",
        "34.8, 32.7, 0, 0, 0, 0, NOTHING",
        "34.4, 32.6, 0, 0.051, 0, 0, PITS",
        "34.4, 32.6, 0.01, 0, 0, 0, PITS",
        "34.4, 32.6, 0, 0, 0.03, 0, TOOL",
        "34.4, 32.6, 0, 0, 0, 0.1, LEVEL",
        "33.9, 32.2, 0, 0, 0, 0, OUTER_EDGE",
        "34.4, 33.2, 0, 0, 0, 0, WIDTH",
        // Too wide, or too far out: the other cuts alone make it right.
        "34.4, 31.6, 0, 0, 0, 0, OTHER_CUTS",
        "34.9, 33.0, 0, 0, 0, 0, OTHER_CUTS"
    })
    void whatBindsOfARange(
            double outer, double inner, double pits, double runout, double least, double level, Binds binds) {
        Asked q = new Asked(
                SeatAngles.of(30, 45, 60),
                outer,
                inner,
                OptionalDouble.empty(),
                pits,
                runout,
                34.8,
                1,
                35,
                37,
                0.5,
                least,
                level);
        SeatPlan plan = SeatPlan.least(q, RANGE);
        assertEquals(binds, plan.binds());
        assertEquals(
                binds == Binds.NOTHING || binds == Binds.OTHER_CUTS,
                plan.seatSink() == 0,
                () -> "sinks " + plan.seatSink());
        double width = plan.after().width();
        assertTrue(width >= 1 - 1e-9 && width <= 1.5 + 1e-9, () -> "width " + width);
    }

    @Test
    void aWideSeatIsNarrowedByTheThroatCutAlone() {
        SeatPlan plan = SeatPlan.least(found(34.4, 31.6, 0, 0), RANGE);
        assertEquals(0, plan.seatSink(), 1e-12);
        assertEquals(0, plan.topSink(), 1e-12);
        assertTrue(plan.throatSink() > 0);
        assertEquals(1.5, plan.after().width(), 1e-9, "no further than it must");
        SeatPlan in = SeatPlan.least(found(34.9, 33.0, 0, 0), RANGE);
        assertEquals(0, in.seatSink(), 1e-12);
        assertTrue(in.topSink() > 0);
    }

    @ParameterizedTest
    @CsvSource({"33.99, LOW", "34.0, IN", "34.8, IN", "34.81, HIGH"})
    void whereItTouches(double outer, SeatRange.Place place) {
        assertEquals(place, RANGE.place(outer));
    }

    @Test
    void aRangeGrows() {
        assertThrows(BadInputException.class, () -> new SeatRange(34.8, 34, 1, 1.5, 0.05));
        assertThrows(BadInputException.class, () -> new SeatRange(34, 34.8, 1.6, 1.5, 0.05));
    }

    /** The volume between two sections against a plain sum over thin rings. */
    @Test
    void ringVolumeIsThatOfThinRings() {
        SeatPlan plan = SeatPlan.of(asked(0.1, 0.02, 33.6, 1.4));
        double sum = 0;
        double dr = 1e-4;
        for (double r = 10 + dr / 2; r < 18.5; r += dr) {
            sum += 2 * Math.PI * r * dr * (plan.before().at(r) - plan.after().at(r));
        }
        assertEquals(sum, plan.before().volumeDownTo(plan.after(), 10, 18.5), 1e-3);
        assertTrue(plan.ringCc() > 0);
        assertEquals(0, plan.before().volumeDownTo(plan.before(), 5, 30), 1e-12);
    }

    @Test
    void cornersAreWhereTheCutsMeet() {
        SeatProfile p = SeatProfile.of(SeatAngles.of(30, 45, 60), 34, 31, OptionalDouble.empty());
        List<Spot> corners = p.corners(14, 18);
        assertEquals(4, corners.size());
        assertEquals(15.5, corners.get(1).x(), 1e-9);
        assertEquals(-1.5, corners.get(1).y(), 1e-9, "45 degrees over 1.5 mm");
        assertEquals(17, corners.get(2).x(), 1e-9);
        assertEquals(0, corners.get(2).y(), 1e-9);
    }

    @Test
    void eachToolTakesItsLeast() {
        Asked light = asked(0.005, 0, 34.2, 1.84);
        SeatPlan stone = SeatPlan.of(light.by(Way.STONE, 0.12));
        SeatPlan cutter = SeatPlan.of(light.by(Way.CUTTER, 0.12));
        assertEquals(0.03, stone.seatSink(), 1e-12);
        assertEquals(0.12, cutter.seatSink(), 1e-12, "its top edge has to touch all round");
        assertEquals(Binds.TOOL, cutter.binds());
        assertEquals(0.08, SeatPlan.of(light.by(Way.CUTTER, 0)).seatSink(), 1e-12);
        assertEquals(Binds.LEVEL, SeatPlan.of(light.atLeast(0.3)).binds());
        assertEquals(0.3, SeatPlan.of(light.atLeast(0.3)).valveSink(), 1e-12);
        // Where pits need more, they are alike.
        Asked deep = asked(0.2, 0, 34.2, 1.84);
        assertEquals(
                SeatPlan.of(deep.by(Way.STONE, 0.1)).seatSink(),
                SeatPlan.of(deep.by(Way.CUTTER, 0.1)).seatSink(),
                1e-12);
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        assertTrue(English.of(assertThrows(BadInputException.class, () -> SeatAngles.of(50, 45, 60))
                        .sentence())
                .contains("out of order"));
        assertTrue(English.of(assertThrows(BadInputException.class, () -> SeatAngles.of(30, 45, 40))
                        .sentence())
                .contains("out of order"));
        assertThrows(BadInputException.class, () -> new SeatAngles(30, 45, 60, OptionalDouble.of(55)));
        assertThrows(BadInputException.class, () -> asked(0, 0, 36, 1.5), "beyond the valve");
        assertThrows(
                BadInputException.class,
                () -> SeatProfile.of(SeatAngles.of(30, 45, 60), 30, 31, OptionalDouble.empty()));
        assertThrows(BadInputException.class, () -> asked(Double.NaN, 0, 34, 1.5));
    }

    @Test
    void allOfAKindComeToTheDeepest() {
        List<ValveHeights.Valve> head = List.of(
                new ValveHeights.Valve("1I", false, 0.10, 0.05, true),
                new ValveHeights.Valve("1E", true, 0.50, 0.08, true),
                new ValveHeights.Valve("2I", false, 0.30, 0.10, true),
                new ValveHeights.Valve("2E", true, 0.55, 0.08, true));
        ValveHeights heights = ValveHeights.of(head, 0.05, 0.2, OptionalDouble.empty());
        assertEquals(0.20, heights.each().get(0).extra(), 1e-12, "to within 0.05 of 0.40");
        assertEquals(0, heights.each().get(1).extra(), 1e-12);
        assertEquals(0.15, heights.each().get(0).afterCut(), 1e-12, "the face comes down to it");
        // A seat that is not to be made stays, and is told what it lacks.
        ValveHeights.One left = ValveHeights.of(
                        List.of(
                                new ValveHeights.Valve("1I", false, 0.1, 0, false),
                                new ValveHeights.Valve("2I", false, 0.4, 0.1, true)),
                        0.05,
                        0.2,
                        OptionalDouble.empty())
                .each()
                .get(0);
        assertEquals(0.35, left.extra(), 1e-12);
        assertEquals(0.1, left.after(), 1e-12);
        assertEquals(-0.1, left.afterCut(), 1e-12, "the cut leaves it standing out");
        // With the maker's offset of the exhausts the intakes follow these.
        ValveHeights kept = ValveHeights.of(head, 0, 0, OptionalDouble.of(0.1));
        assertEquals(kept.each().get(1).after() - 0.1, kept.each().get(0).after(), 1e-12);
    }

    private static SpringFit spring(double measured, double sink, double solid) {
        return SpringFit.of(
                new SpringFit.Spring(
                        measured,
                        38,
                        sink,
                        0,
                        OptionalDouble.of(48),
                        OptionalDouble.of(solid),
                        OptionalDouble.of(30),
                        OptionalDouble.of(10),
                        OptionalDouble.of(14)),
                SpringFit.USUAL_SHIMS);
    }

    @Test
    void shimsNeverGoOverTheBook() {
        SpringFit fit = spring(38.6, 0.3, 25);
        assertEquals(0.9, fit.shim(), 1e-12);
        assertEquals(List.of(Length.ofMm("0.8")), fit.stack());
        assertEquals(0.1, fit.left(), 1e-12);
        assertEquals(38.1, fit.height(), 1e-12);
        assertEquals(30 * (48 - 38.1), fit.seatLoad().getAsDouble(), 1e-9);
        assertEquals(fit.seatLoad().getAsDouble() + 300, fit.openLoad().getAsDouble(), 1e-9);
        assertTrue(fit.good());
        Random random = new Random(5);
        for (int n = 0; n < 200; n++) {
            SpringFit any = spring(37.5 + random.nextDouble() * 4, random.nextDouble(), 20);
            assertTrue(any.height() >= 38 - 1e-9 || any.shim() < 0);
            assertTrue(any.left() < 0.4 || any.shim() > 4 * 1.5, "the thinnest leaf would not go in as well");
        }
        assertTrue(English.of(spring(37.8, 0, 25).why()).contains("no shim helps"));
        assertTrue(English.of(spring(38, 0, 27.5).why()).contains("coils bind"));
    }
}
