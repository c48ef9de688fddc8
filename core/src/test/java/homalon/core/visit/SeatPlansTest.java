package homalon.core.visit;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.Layout;
import homalon.core.part.PartKind;
import homalon.core.part.Valve;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.BookDefaults;
import homalon.core.seats.SeatPlan;
import homalon.core.valves.Measure;
import homalon.core.words.English;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Plans of the seats of one head, each by itself and all heights together. */
class SeatPlansTest {
    private static final PartFile HEAD = Castings.of(PartKind.HEAD, 2);

    private SheetHand hand;

    @BeforeEach
    void aBook() {
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "knurls", "true"));
        form.put("I.HEAD_DIAMETER", "40");
        form.put("E.HEAD_DIAMETER", "34");
        hand = new SheetHand(Sheet.VALVES).setUp(ValveSetup.typed(form, BenchUnit.MM, BookDefaults.of(BenchUnit.MM)));
    }

    private void read(String of, String outer, String inner, String recession, String runout) {
        hand.size(ValveFile.place(of, Measure.SEAT_OUTER), outer)
                .size(ValveFile.place(of, Measure.SEAT_INNER), inner)
                .key(ValveFile.place(of, Measure.RECESSION), recession)
                .key(ValveFile.place(of, Measure.RUNOUT), runout);
    }

    private ValveFile file() {
        return ValveFile.of(HEAD, hand.file(), Layout.of(HEAD.numbers()));
    }

    private SeatPlans plans() {
        return new SeatPlans(file(), Length.ofMm("0.10"));
    }

    private Valve valve(String key) {
        return file().valve(key);
    }

    @Test
    void aSeatIsStonedUnlessAnotherWayWasChosen() {
        assertEquals(SeatPlan.Way.STONE, plans().way(valve("1I")));
        hand.say(ValveFile.place("1I", Said.SEAT_WAY), SeatPlan.Way.CUTTER.name());
        assertEquals(SeatPlan.Way.CUTTER, plans().way(valve("1I")));
        assertEquals(Length.ofMm("0.10"), plans().toCut());
    }

    /** Measured, else what the runout lifts the old edge by, else nothing is known of it. */
    @Test
    void anUnevenEdgeIsMeasuredOrFollowsFromTheRunout() {
        assertEquals(0, plans().uneven(valve("1I")), 0);
        hand.key(ValveFile.place("1I", Measure.RUNOUT), "0.12");
        assertEquals(SeatPlan.refaced(0.12, 45), plans().uneven(valve("1I")), 1e-12);
        hand.key(ValveFile.place("1I", Said.UNEVEN), "0.08");
        assertEquals(0.08, plans().uneven(valve("1I")), 1e-12);
    }

    @Test
    void onlyASeatThatIsToBeMadeIsPlanned() {
        read("1I", "39.4", "37.5", "0.50", "0.02");
        assertEquals(Optional.empty(), plans().of(valve("1I")));
        assertEquals(0, plans().sink(valve("1I")), 0);
        read("1I", "39.4", "37.5", "0.50", "0.12");
        SeatPlan plan = plans().of(valve("1I")).orElseThrow();
        assertTrue(plan.valveSink() > 0);
        assertEquals(plan.valveSink(), plans().sink(valve("1I")), 1e-12);
        assertEquals(Optional.empty(), plans().of(valve("2I")), "nothing was read of it");
        assertEquals(Optional.empty(), English.of(plans().refused(valve("1I"))));
        assertTrue(plans().alone(valve("1I"), SeatPlan.Way.STONE).isPresent());
        assertEquals(Optional.empty(), plans().alone(valve("2I"), SeatPlan.Way.STONE));
    }

    @Test
    void aRefacedValveGoesInByItsOwnFaceToo() {
        read("1I", "39.4", "37.5", "0.50", "0.12");
        double before = plans().sink(valve("1I"));
        assertEquals(0, plans().refaced(valve("1I")), 0);
        hand.key(ValveFile.place("1I", Said.REFACED), "0.10");
        assertEquals(SeatPlan.refaced(0.10, 45), plans().refaced(valve("1I")), 1e-12);
        assertEquals(before + SeatPlan.refaced(0.10, 45), plans().sink(valve("1I")), 1e-9);
    }

    /** A valve that stands high beside one of its kind is sunk to it, where its seat is made anyhow. */
    @Test
    void valvesOfAKindAreBroughtLevel() {
        read("1I", "39.4", "37.5", "0.50", "0.12");
        double alone = plans().sink(valve("1I"));
        read("2I", "39.4", "37.5", "1.10", "0.02");
        double level = plans().sink(valve("1I"));
        assertTrue(level > alone + 0.2, alone + " and " + level);
        assertTrue(plans().height(valve("1I")).orElseThrow().extra() > 0);
        assertEquals(0, plans().height(valve("2I")).orElseThrow().extra(), 1e-12);
        assertEquals(Optional.empty(), plans().height(valve("1E")), "no height of it was read");
    }

    @Test
    void aSeatInANewRingStandsByTheOthersOfItsKind() {
        assertEquals(OptionalDouble.empty(), plans().standsAt(valve("1E")));
        read("2E", "33.4", "30.8", "0.90", "0.02");
        hand.size(ValveFile.place("2E", Measure.TIP), "48.2");
        read("1E", "33.4", "30.8", "0.40", "0.02");
        hand.say(ValveFile.place("1E", Said.INSERT), "R-36")
                .say(ValveFile.place("1E", Said.INSERT_DONE), "R-36 36000000 36080000");
        assertTrue(file().bareRing(valve("1E")));
        SeatPlans plans = plans();
        assertEquals(Optional.empty(), plans.of(valve("1E")), "the old seat is gone");
        assertEquals(Optional.empty(), plans.alone(valve("1E"), SeatPlan.Way.STONE));
        assertEquals(Optional.empty(), plans.height(valve("1E")));
        assertEquals(
                plans.height(valve("2E")).orElseThrow().after(),
                plans.standsAt(valve("1E")).orElseThrow(),
                1e-12);
        assertEquals(48.2, plans.tipAt(valve("1E")).orElseThrow(), 1e-9);
        assertEquals(OptionalDouble.empty(), plans.tipAt(valve("2E")), "the ring's old tip says nothing");
        assertEquals(OptionalDouble.empty(), plans.tipAt(valve("1I")), "of another kind");
    }

    @Test
    void chambersKnowTheHeadsAndTheShallowestValve() {
        HeadsInChambers none = HeadsInChambers.of(file(), Length.ZERO);
        assertEquals(2, none.byCylinder().size());
        assertEquals(Optional.empty(), none.shallowest());
        read("1I", "39.4", "37.5", "0.50", "0.12");
        read("2I", "39.4", "37.5", "0.30", "0.02");
        HeadsInChambers heads = HeadsInChambers.of(file(), Length.ZERO);
        HeadsInChambers.Shallowest least = heads.shallowest().orElseThrow();
        assertEquals(0.30, least.recession(), 1e-12);
        assertEquals(file().figure(valve("2I"), Measure.RECESSION).orElseThrow().at(), least.at());
        double sink = heads.byCylinder().get(1).heads().stream()
                .mapToDouble(h -> h.sink())
                .max()
                .orElse(0);
        assertEquals(new SeatPlans(file(), Length.ZERO).sink(valve("1I")), sink, 1e-12);
        Map<String, String> form = new HashMap<>(
                Map.of("intake", "1", "exhaust", "1", "rows", "ONE", "source", "MAKER", "I.HEAD_DIAMETER", "40"));
        SheetFile unknown = new SheetHand(Sheet.VALVES)
                .setUp(ValveSetup.typed(form, BenchUnit.MM, BookDefaults.of(BenchUnit.MM)))
                .file();
        assertFalse(HeadsInChambers.of(ValveFile.of(HEAD, unknown, Layout.of(HEAD.numbers())), Length.ZERO)
                .byCylinder()
                .containsKey(1));
        assertEquals(
                List.of(1, 2), heads.byCylinder().keySet().stream().sorted().toList());
    }
}
