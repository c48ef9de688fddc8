package homalon.core.seats;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.catalogue.Item;
import homalon.core.catalogue.Metal;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.seats.InsertChoice.Asked;
import homalon.core.seats.InsertChoice.Neighbour;
import homalon.core.seats.InsertChoice.Rule;
import homalon.core.seats.InsertChoice.Sign;
import homalon.core.words.English;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule of an insert, of a spring and of heights, at its very limit and a hair beyond it. */
class SeatRulesTest {
    private static final BookDefaults PLAIN = BookDefaults.of(BenchUnit.MM);

    /** A nominal ring: its hole is 35 by the catalogue, whatever else is asked. */
    private static Item ring(double press, double inner, double height) {
        return new Item(
                "N",
                Item.Kind.INSERT,
                "",
                35 + press,
                inner,
                height,
                Optional.of(Metal.HARD_IRON),
                OptionalDouble.of(35));
    }

    private record Place(double counterbore, double floor, double wall, double throat, double seat, double proud) {
        static final Place SOUND = new Place(34.4, 7, 8, 29, 33, 0);
    }

    private static Asked asked(Place p, List<Neighbour> near, Damage damage, Optional<Metal> metal, Sign... signs) {
        return new Asked(
                new InsertLimits(Material.CAST_IRON, PLAIN),
                p.counterbore(),
                p.floor(),
                p.wall(),
                p.throat(),
                p.seat(),
                p.proud(),
                200,
                near,
                damage,
                metal,
                false,
                Set.of(signs));
    }

    private static InsertChoice.Step step(Asked q, Item ring) {
        return InsertChoice.of(q, List.of(ring)).steps().get(0);
    }

    private static void holds(boolean holds, Rule rule, InsertChoice.Step step) {
        InsertChoice.Check check =
                step.checks().stream().filter(c -> c.rule() == rule).findFirst().orElseThrow();
        assertEquals(holds, check.holds(), check::toString);
        assertEquals(holds, step.broken().stream().noneMatch(c -> c.rule() == rule));
        assertEquals(step.broken().isEmpty(), step.passes());
    }

    @Test
    void aSoundPlaceBreaksNoRule() {
        InsertChoice.Step step = step(asked(Place.SOUND, List.of(), Damage.NONE, Optional.empty()), ring(0.085, 28, 7));
        assertTrue(step.passes(), () -> step.broken().toString());
        assertEquals(EnumSet.allOf(Rule.class).size(), step.checks().size(), "every rule is shown for every ring");
        assertEquals(1, step.bearing());
    }

    @ParameterizedTest
    @CsvSource({
        // press, holds: 0.0020 to 0.0028 of 35
        "0.070, true",
        "0.0699, false",
        "0.098, true",
        "0.0981, false"
    })
    void press(double press, boolean holds) {
        holds(
                holds,
                Rule.PRESS,
                step(asked(Place.SOUND, List.of(), Damage.NONE, Optional.empty()), ring(press, 28, 7)));
    }

    @ParameterizedTest
    @CsvSource({"34.08, true", "34.09, false"})
    void theRingCarriesTheSeat(double seat, boolean holds) {
        Place p = new Place(34.4, 7, 8, 29, seat, 0);
        holds(holds, Rule.CARRIES, step(asked(p, List.of(), Damage.NONE, Optional.empty()), ring(0.08, 28, 7)));
    }

    @ParameterizedTest
    @CsvSource({"28, true", "29, true", "29.01, false"})
    void itOpensToTheThroat(double inner, boolean holds) {
        holds(
                holds,
                Rule.THROAT,
                step(asked(Place.SOUND, List.of(), Damage.NONE, Optional.empty()), ring(0.08, inner, 7)));
    }

    /** A tall ring is trimmed by up to a third; what stands proud may be left of it. */
    @ParameterizedTest
    @CsvSource({"7, 7, 0, true", "10.5, 7, 0, true", "10.51, 7, 0, false", "10.51, 7, 0.1, true", "10.5, 7, -0.1, false"
    })
    void notDeeperThanTheFloor(double height, double floor, double proud, boolean holds) {
        Place p = new Place(34.4, floor, 8, 29, 33, proud);
        holds(holds, Rule.DEPTH, step(asked(p, List.of(), Damage.NONE, Optional.empty()), ring(0.08, 28, height)));
    }

    @ParameterizedTest
    @CsvSource({"HARD_IRON, true", "POWDER_METAL, false"})
    void theMetalWanted(Metal metal, boolean holds) {
        holds(
                holds,
                Rule.METAL,
                step(asked(Place.SOUND, List.of(), Damage.NONE, Optional.of(metal)), ring(0.08, 28, 7)));
    }

    /** Cut to 35 from 34.4, three tenths of the wall go; 3.0 has to be left in iron, or somebody signs. */
    @ParameterizedTest
    @CsvSource({
        "3.3, '', true",
        "3.299, '', false",
        "3.299, THIN_WALL, true",
        "0.301, THIN_WALL, true",
        "0.29, THIN_WALL, false"
    })
    void wallToWater(double wall, String sign, boolean holds) {
        Place p = new Place(34.4, 7, wall, 29, 33, 0);
        Sign[] signs = sign.isEmpty() ? new Sign[0] : new Sign[] {Sign.valueOf(sign)};
        InsertChoice.Step step = step(asked(p, List.of(), Damage.NONE, Optional.empty(), signs), ring(0.08, 28, 7));
        holds(holds, Rule.WALL, step);
        assertEquals(wall > 0.3, step.fit().isPresent(), "with no wall there is nothing to work it out with");
        holds(wall > 0.3, Rule.HOT, step);
    }

    @ParameterizedTest
    @CsvSource({"36.0, 34, true", "35.999, 34, false"})
    void bridges(double centres, double diameter, boolean holds) {
        List<Neighbour> near = List.of(new Neighbour("1I", 60, 30), new Neighbour("2E", centres, diameter));
        InsertChoice.Step step = step(asked(Place.SOUND, near, Damage.NONE, Optional.empty()), ring(0.08, 28, 7));
        holds(holds, Rule.BRIDGE, step);
        assertTrue(
                step.checks().stream()
                        .filter(c -> c.rule() == Rule.BRIDGE)
                        .allMatch(c -> English.bare(c.says()).contains("to 2E")),
                "the nearest is named");
    }

    /** Damage has to be cut past by a quarter of a millimetre; less is signed for while enough of the arc bears. */
    @ParameterizedTest
    @CsvSource({
        "0.05, 3, '', true",
        "0.051, 3, '', false",
        "0.051, 1, PARTIAL, true",
        "0.4, 1, PARTIAL, true",
        "0.4, 2, PARTIAL, false",
        "0.051, 1, '', false"
    })
    void damageIsCutPast(double beyond, int hours, String sign, boolean holds) {
        Damage damage = new Damage(List.of(Damage.Arc.ofHours(2, 2 + hours, beyond)));
        Sign[] signs = sign.isEmpty() ? new Sign[0] : new Sign[] {Sign.valueOf(sign)};
        holds(
                holds,
                Rule.CLEANS,
                step(asked(Place.SOUND, List.of(), damage, Optional.empty(), signs), ring(0.08, 28, 7)));
    }

    /** A ring whose hole is there already is none: it has to be larger than the counterbore. */
    @Test
    void whatIsSteppedThrough() {
        Item same =
                new Item("S", Item.Kind.INSERT, "", 34.4, 28, 7, Optional.of(Metal.HARD_IRON), OptionalDouble.empty());
        assertTrue(InsertChoice.of(asked(Place.SOUND, List.of(), Damage.NONE, Optional.empty()), List.of(same))
                .steps()
                .isEmpty());
        assertEquals(220, InsertChoice.usualHeat(Material.ALUMINIUM));
        assertEquals(200, InsertChoice.usualHeat(Material.CAST_IRON));
        assertEquals(3.5, new InsertLimits(Material.ALUMINIUM, PLAIN).wall());
        assertEquals(0.3, InsertChoice.trim(7.2, 7, -0.1), 1e-9);
    }

    /** How it goes in, and what is left hot. */
    @ParameterizedTest
    @CsvSource({"0.02, QUICK", "0.0201, DROPS", "0, QUICK", "-0.0001, DRIVEN"})
    void howItGoesIn(double gap, PressFit.Goes goes) {
        PressFit.Asked q = new PressFit.Asked(Metal.CAST_IRON, Metal.HARD_IRON, 35, 35.1, 28, 5, 20, 20, 200, 0.02);
        assertEquals(goes, new PressFit(q, 0.1, 0.1, OptionalDouble.empty(), gap, 10, 50).goes());
    }

    @ParameterizedTest
    @CsvSource({"0.02, false", "0.0201, true", "-0.01, false"})
    void whatHoldsHot(double hot, boolean holds) {
        PressFit.Asked q = new PressFit.Asked(Metal.CAST_IRON, Metal.HARD_IRON, 35, 35.1, 28, 5, 20, 20, 200, 0.02);
        PressFit fit = new PressFit(q, 0.1, hot, OptionalDouble.empty(), 0, 10, 50);
        assertEquals(holds, fit.holdsHot());
        assertEquals(Math.max(0, hot) / 0.1 * 50 / 220, fit.shareHot(), 1e-12);
        assertTrue(fit.working().lines().size() >= 5);
    }

    private static SpringFit spring(double measured, double solid, double seal) {
        return SpringFit.of(
                new SpringFit.Spring(
                        measured,
                        38,
                        0.2,
                        0.1,
                        OptionalDouble.of(48),
                        OptionalDouble.of(solid),
                        OptionalDouble.of(30),
                        OptionalDouble.of(10),
                        OptionalDouble.of(seal)),
                SpringFit.USUAL_SHIMS);
    }

    /** Coils a millimetre apart at full lift, the retainer 1.3 off the seal; each still counts as kept. */
    @ParameterizedTest
    @CsvSource({
        "37.9, 27, 11.1, within",
        "37.9, 27.001, 11.1, coils bind",
        "37.9, 27, 11.099, meets the stem seal",
        "37.899, 27, 11.1, shorter than the book",
        "38.3, 27, 11.1, within"
    })
    void springs(double measured, double solid, double seal, String why) {
        SpringFit fit = spring(measured, solid, seal);
        assertTrue(English.of(fit.why()).contains(why), English.of(fit.why()));
        assertEquals(why.equals("within"), fit.good());
        assertEquals(measured + 0.2, fit.installed(), 1e-9);
        assertEquals(fit.height() - 10 - solid, fit.coilGap().orElseThrow(), 1e-9);
        assertEquals(seal + 0.2 - 10, fit.sealGap().orElseThrow(), 1e-9);
        assertEquals(30 * (48 - fit.height()), fit.seatLoad().orElseThrow(), 1e-9);
        assertEquals(30 * (58 - fit.height()), fit.openLoad().orElseThrow(), 1e-9);
        assertEquals(
                fit.shim() < 0.4 ? 0 : 1, fit.stack().size(), () -> fit.shim() + " takes the thinnest leaf, or none");
    }

    /** What is not keyed of it leaves open what needs it, and nothing else. */
    @ParameterizedTest
    @CsvSource({
        "true, true, true, true, true, 1 1 1 1",
        "false, true, true, true, true, 1 1 0 0",
        "true, false, true, true, true, 0 1 1 1",
        "true, true, false, true, true, 1 1 0 0",
        "true, true, true, false, true, 0 0 1 0",
        "true, true, true, true, false, 1 0 1 1",
        "false, false, false, false, false, 0 0 0 0"
    })
    void whatOfASpringIsKnown(boolean free, boolean solid, boolean rate, boolean lift, boolean seal, String known) {
        SpringFit fit = SpringFit.of(
                new SpringFit.Spring(
                        38.3,
                        38,
                        0,
                        0,
                        free ? OptionalDouble.of(48) : OptionalDouble.empty(),
                        solid ? OptionalDouble.of(25) : OptionalDouble.empty(),
                        rate ? OptionalDouble.of(30) : OptionalDouble.empty(),
                        lift ? OptionalDouble.of(10) : OptionalDouble.empty(),
                        seal ? OptionalDouble.of(12) : OptionalDouble.empty()),
                SpringFit.USUAL_SHIMS);
        String has = Stream.of(fit.coilGap(), fit.sealGap(), fit.seatLoad(), fit.openLoad())
                .map(o -> o.isPresent() ? "1" : "0")
                .collect(Collectors.joining(" "));
        assertEquals(known, has);
        assertTrue(fit.good());
    }

    @ParameterizedTest
    @CsvSource({
        "measured, 5", "measured, 200.1", "specified, 5", "sink, -0.1", "sink, 10.1", "locator, -0.1", "locator, 10.1",
        "free, 38", "solid, 38", "solid, 0", "rate, 0", "rate, 501", "lift, 0", "lift, 41"
    })
    void springsThatCannotBe(String what, double value) {
        assertThrows(
                BadInputException.class,
                () -> new SpringFit.Spring(
                        what.equals("measured") ? value : 38,
                        what.equals("specified") ? value : 38,
                        what.equals("sink") ? value : 0,
                        what.equals("locator") ? value : 0,
                        OptionalDouble.of(what.equals("free") ? value : 48),
                        OptionalDouble.of(what.equals("solid") ? value : 25),
                        OptionalDouble.of(what.equals("rate") ? value : 30),
                        OptionalDouble.of(what.equals("lift") ? value : 10),
                        OptionalDouble.of(12)));
    }

    /** Heights: apart by a twentieth is level; the cut brings all up; the maker's offset ties the two kinds. */
    @ParameterizedTest
    @CsvSource({"0.35, 0", "0.349, 0.001", "0.4, 0"})
    void levelIsWithinATwentieth(double recession, double extra) {
        ValveHeights.One one = ValveHeights.of(
                        List.of(
                                new ValveHeights.Valve("1I", false, recession, 0, true),
                                new ValveHeights.Valve("2I", false, 0.4, 0, true)),
                        0.05,
                        0.1,
                        OptionalDouble.empty())
                .each()
                .get(0);
        assertEquals(extra, one.extra(), 1e-9);
        assertEquals(recession + extra, one.after(), 1e-9);
        assertEquals(recession + extra - 0.1, one.afterCut(), 1e-9);
        assertEquals(0.4, one.target(), 1e-9);
    }

    @Test
    void anOffsetDeepensTheIntakesOrTheExhausts() {
        List<ValveHeights.Valve> two = List.of(
                new ValveHeights.Valve("1I", false, 0.2, 0, true), new ValveHeights.Valve("1E", true, 0.5, 0, true));
        ValveHeights intakes = ValveHeights.of(two, 0, 0, OptionalDouble.of(0.1));
        assertEquals(0.4, intakes.each().get(0).after(), 1e-9);
        assertEquals(0.5, intakes.each().get(1).after(), 1e-9);
        ValveHeights exhausts = ValveHeights.of(two, 0, 0, OptionalDouble.of(0.6));
        assertEquals(0.2, exhausts.each().get(0).after(), 1e-9);
        assertEquals(0.8, exhausts.each().get(1).after(), 1e-9);
        assertThrows(BadInputException.class, () -> ValveHeights.of(two, 1.01, 0, OptionalDouble.empty()));
        assertThrows(BadInputException.class, () -> ValveHeights.of(two, -0.01, 0, OptionalDouble.empty()));
        assertThrows(BadInputException.class, () -> ValveHeights.of(two, 0, 10.01, OptionalDouble.empty()));
        assertThrows(BadInputException.class, () -> ValveHeights.of(two, 0, -0.01, OptionalDouble.empty()));
        assertEquals(
                2, ValveHeights.of(two, 1, 10, OptionalDouble.empty()).each().size());
    }

    /** A plan says how it was worked out, where a fourth cut began, and what a refaced valve loses. */
    @Test
    void whatAPlanShows() {
        SeatAngles four = new SeatAngles(30, 45, 60, OptionalDouble.of(75));
        SeatPlan.Asked q =
                new SeatPlan.Asked(four, 34, 31, OptionalDouble.of(30), 0.1, 0.04, 33.6, 1.4, 35, 37, 0.5, 0, 0);
        SeatPlan plan = SeatPlan.of(q);
        assertEquals(15, plan.bowlEdge().orElseThrow(), 1e-9);
        assertTrue(SeatPlan.of(new SeatPlan.Asked(
                        SeatAngles.of(30, 45, 60),
                        34,
                        31,
                        OptionalDouble.empty(),
                        0.1,
                        0.04,
                        33.6,
                        1.4,
                        35,
                        37,
                        0.5,
                        0,
                        0))
                .bowlEdge()
                .isEmpty());
        assertEquals(5, plan.working().lines().size());
        assertEquals(0.1 / Math.cos(Math.PI / 4), SeatPlan.refaced(0.1, 45), 1e-12);
        assertEquals(Math.PI * 17.5 * 17.5 * plan.valveSink() / 1000, plan.valveCc(), 1e-9);
        assertTrue(plan.feasible());
        assertFalse(SeatPlan.of(new SeatPlan.Asked(
                        four,
                        34,
                        31,
                        OptionalDouble.of(30),
                        0.1,
                        0.04,
                        33.6,
                        1.4,
                        35,
                        37,
                        plan.seatSink() - 0.001,
                        0,
                        0))
                .feasible());
        assertTrue(SeatPlan.of(new SeatPlan.Asked(
                        four, 34, 31, OptionalDouble.of(30), 0.1, 0.04, 33.6, 1.4, 35, 37, plan.seatSink(), 0, 0))
                .feasible());
    }
}
