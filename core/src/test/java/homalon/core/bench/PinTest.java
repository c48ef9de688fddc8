package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.hours.DaysOff;
import homalon.core.hours.Hours;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.Message;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What somebody said of a work, and what a plan makes of it. Four heads, two people, two surfacers; a Tuesday at nine. */
class PinTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
    private static final LocalDate TUESDAY = LocalDate.of(2026, 3, 10);
    private static final Instant NOW = at("2026-03-10T09:00");
    private static final String CLEAN = "T-1/CLEAN";
    private static final String CUT = "T-1/CUT";

    private static Instant at(String local) {
        return LocalDateTime.parse(local).atZone(OSLO).toInstant();
    }

    private static Pin pin(String at, String station, String person) {
        return new Pin(Optional.of(at(at)), Optional.empty(), said(station), said(person));
    }

    private static Optional<String> said(String one) {
        return Optional.of(one).filter(o -> !o.isEmpty());
    }

    private static final ShopCrew.Hand INES = ShopCrew.Hand.of("Ines");
    private static final ShopCrew.Hand MARIT = ShopCrew.Hand.of("Marit");

    private static ShopCrew crew(Optional<ShopCrew.Down> down, ShopCrew.Hand... hands) {
        List<ShopCrew.Post> posts = new ArrayList<>(ShopCrew.usualStations());
        posts.add(new ShopCrew.Post(
                "old", "The old one", StationKind.SURFACER, 1, down.stream().toList()));
        return new ShopCrew(Hours.of(ShopCrew.USUAL_WEEK), posts, List.of(hands), ShopCrew.USUAL_CHANGES);
    }

    private static ShopCrew crew() {
        return crew(Optional.empty(), INES, MARIT);
    }

    private static AtTheBench casting(
            int no, AtTheBench.Waits waits, Optional<AtTheBench.InHand> hand, Map<String, Pin> pins) {
        return new AtTheBench(
                "T-" + no,
                Material.CAST_IRON,
                Route.of(List.of(new Event.Found(Finding.FACE_OUT))),
                JobSizes.of(PartKind.HEAD, 4, Map.of(), 0),
                Optional.empty(),
                Optional.empty(),
                1,
                waits,
                hand,
                pins);
    }

    private static List<AtTheBench> castings(Map<String, Pin> first, Map<String, Pin> second) {
        List<AtTheBench> all = new ArrayList<>();
        for (int no = 1; no <= 4; no++) {
            all.add(casting(
                    no, AtTheBench.Waits.FOR_NOTHING, Optional.empty(), no == 1 ? first : no == 2 ? second : Map.of()));
        }
        return all;
    }

    private static DayPlan plan(ShopCrew crew, List<AtTheBench> castings) {
        return DayPlan.of(DayPlan.bench(crew, castings, List.of(), NOW, OSLO), 10, 7);
    }

    private static DayPlan.Told told(DayPlan plan, String work) {
        return plan.told().stream()
                .filter(t -> t.work().equals(work))
                .findFirst()
                .orElseThrow();
    }

    private static Message words(Unkept unkept) {
        return PlanWords.unkept(unkept, n -> n, i -> "Tue 14:00");
    }

    @Test
    void itStaysWhereItIsPinnedOnThatStationInThoseHands() {
        List<AtTheBench> castings = castings(Map.of("CUT", pin("2026-03-12T10:20", "old", "Marit")), Map.of());
        DayPlan plan = plan(crew(), castings);
        DayPlan.Told cut = told(plan, CUT);
        assertEquals(at("2026-03-12T10:20"), cut.from());
        assertEquals("old", cut.station());
        assertEquals("Marit", cut.parts().get(0).person());
        assertEquals(List.of(), plan.unkept(castings, crew()));
        assertEquals(
                Why.Holds.PINNED, plan.posted(0).line(CUT).orElseThrow().why().holds());
        assertTrue(told(plan, "T-1/FACE_CHECK").to().compareTo(cut.from()) <= 0, "what must come before it does");
    }

    @Test
    void whatIsHeldBeginsNotBeforeAndThatIsWhy() {
        Instant thursday = at("2026-03-12T07:30");
        Pin held = new Pin(Optional.empty(), Optional.of(thursday), Optional.empty(), Optional.empty());
        DayPlan plan = plan(crew(), castings(Map.of("CLEAN", held), Map.of()));
        assertEquals(thursday, told(plan, CLEAN).from());
        assertEquals(
                Why.Holds.NOT_BEFORE,
                plan.posted(0).line(CLEAN).orElseThrow().why().holds());
    }

    @Test
    void whatIsSentToAStationOrAPersonIsDoneThereWhenThereIsRoom() {
        Pin sent = new Pin(Optional.empty(), Optional.empty(), Optional.of("old"), Optional.of("Ines"));
        DayPlan plan = plan(crew(), castings(Map.of("CUT", sent), Map.of("CUT", sent)));
        for (String work : List.of(CUT, "T-2/CUT")) {
            assertEquals("old", told(plan, work).station());
            assertTrue(told(plan, work).parts().stream()
                    .allMatch(p -> p.person().isEmpty() || p.person().equals("Ines")));
        }
    }

    /** One minute in which it cannot be, and what is told to stand against it. */
    enum Against {
        PARTS(Why.Holds.NOT_BEFORE, ""),
        ORDER(Why.Holds.AFTER, "T-1/CRACK_CHECK"),
        STATION(Why.Holds.STATION, "T-2/CUT"),
        DOWN(Why.Holds.DOWN, "old"),
        PERSON(Why.Holds.PERSON, "T-2/CUT"),
        AWAY(Why.Holds.AWAY, "Marit"),
        CLOSING(Why.Holds.CLOSING, "");

        private final Why.Holds holds;
        private final String by;

        Against(Why.Holds holds, String by) {
            this.holds = holds;
            this.by = by;
        }
    }

    @ParameterizedTest
    @EnumSource
    void aPinThatCannotBeKeptSaysWhatStandsAgainstIt(Against against) {
        String when = against == Against.ORDER
                ? "2026-03-10T09:05"
                : against == Against.CLOSING ? "2026-03-12T16:29" : "2026-03-12T10:20";
        Instant pinned = at(when);
        ShopCrew.Hand marit = against == Against.AWAY
                ? new ShopCrew.Hand(
                        "Marit",
                        Optional.empty(),
                        List.of(new DaysOff(TUESDAY, TUESDAY.plusDays(3), "")),
                        EnumSet.allOf(StationKind.class))
                : MARIT;
        ShopCrew crew = crew(
                against == Against.DOWN
                        ? Optional.of(new ShopCrew.Down(NOW, Optional.of(pinned.plusSeconds(60))))
                        : Optional.empty(),
                INES,
                marit);
        Map<String, Pin> other = switch (against) {
            case STATION -> Map.of("CUT", pin(when, "old", "Ines"));
            case PERSON -> Map.of("CUT", pin(when, StationKind.SURFACER.name(), "Marit"));
            default -> Map.of();
        };
        List<AtTheBench> castings = new ArrayList<>(castings(Map.of(), other));
        AtTheBench.Waits waits = against == Against.PARTS
                ? new AtTheBench.Waits(Optional.empty(), Map.of(Operation.CUT, pinned.plusSeconds(7200)))
                : AtTheBench.Waits.FOR_NOTHING;
        castings.set(0, casting(1, waits, Optional.empty(), Map.of("CUT", pin(when, "old", "Marit"))));
        // Of two that are pinned to one minute the first in the list is kept.
        if (!other.isEmpty()) {
            castings.add(0, castings.remove(1));
        }
        DayPlan plan = plan(crew, castings);
        List<Unkept> unkept = plan.unkept(castings, crew);
        assertEquals(1, unkept.size(), unkept.toString());
        assertEquals(Unkept.Kind.TAKEN, unkept.get(0).kind());
        Why.Link link = new Why.Link(CUT, against.holds, against.by);
        assertEquals(link, unkept.get(0).why());
        assertEquals(
                List.of(PlanWords.work(CUT), "Tue 14:00", PlanWords.why(link, n -> n)),
                words(unkept.get(0)).args());
        assertFalse(told(plan, CUT).from().equals(pinned));
        assertFalse(plan.posted(0).line(CUT).orElseThrow().why().holds() == Why.Holds.PINNED);
    }

    @Test
    void aPinThatWouldLeaveTheOvenOnAtNightIsTold() {
        List<AtTheBench> castings = castings(Map.of("CLEAN", pin("2026-03-12T14:20", "", "")), Map.of());
        List<Unkept> unkept = plan(crew(), castings).unkept(castings, crew());
        assertEquals(
                List.of(new Why.Link(CLEAN, Why.Holds.CLOSING, "")),
                unkept.stream().map(Unkept::why).toList());
        ShopCrew nights = crew().nights(EnumSet.of(StationKind.OVEN));
        DayPlan plan = plan(nights, castings);
        assertEquals(List.of(), plan.unkept(castings, nights));
        assertEquals(at("2026-03-12T14:20"), told(plan, CLEAN).from());
    }

    @Test
    void aPinThatPassedAndOneOnWhatIsGoneAreTold() {
        List<AtTheBench> castings = castings(
                Map.of("CUT", pin("2026-03-10T08:59", "old", "Marit")),
                Map.of("CLEAN", pin("2026-03-12T10:20", "old", "")));
        castings.set(
                2,
                casting(
                        3,
                        AtTheBench.Waits.FOR_NOTHING,
                        Optional.empty(),
                        Map.of("CLEAN", pin("2026-03-12T13:20", "", "Brannoc"))));
        DayPlan plan = plan(crew(), castings);
        List<Unkept> unkept = plan.unkept(castings, crew());
        assertEquals(
                List.of(Unkept.Kind.PASSED, Unkept.Kind.STATION, Unkept.Kind.PERSON),
                unkept.stream().map(Unkept::kind).toList());
        assertEquals(
                List.of("Tue 14:00", "old", "Brannoc"),
                unkept.stream().map(u -> words(u).args().get(1)).toList());
        // What can be kept of it is.
        assertEquals(at("2026-03-12T10:20"), told(plan, "T-2/CLEAN").from());
        assertEquals("old", told(plan, CUT).station());
    }

    @Test
    void whatIsInHandGoesBeforeWhatWasSaid() {
        AtTheBench.InHand hand = new AtTheBench.InHand(Operation.CLEAN, "Ines", NOW.minusSeconds(300));
        List<AtTheBench> castings = castings(Map.of(), Map.of());
        castings.set(
                0,
                casting(
                        1,
                        AtTheBench.Waits.FOR_NOTHING,
                        Optional.of(hand),
                        Map.of("CLEAN", pin("2026-03-10T08:00", "gone", "Marit"))));
        DayPlan plan = plan(crew(), castings);
        assertEquals(NOW, told(plan, CLEAN).from());
        assertEquals("Ines", told(plan, CLEAN).parts().get(0).person());
        assertEquals(List.of(), plan.unkept(castings, crew()));
    }

    @Test
    void anOrderThatComesLaterHoldsUpItsCastingAlone() {
        Instant friday = at("2026-03-13T00:00");
        WhatIf late = new WhatIf(
                Optional.empty(), Optional.empty(), Optional.empty(), Optional.of("T-1"), TUESDAY.plusDays(2));
        assertFalse(late.nothing());
        List<AtTheBench> castings = castings(Map.of(), Map.of());
        castings.set(
                0,
                casting(
                        1,
                        new AtTheBench.Waits(Optional.empty(), Map.of(Operation.CUT, at("2026-03-11T00:00"))),
                        Optional.empty(),
                        Map.of()));
        DayPlan before = plan(crew(), castings);
        assertTrue(told(before, CUT).from().isBefore(friday));
        List<AtTheBench> tried = late.castings(castings, TUESDAY, friday);
        DayPlan then = plan(crew(), tried);
        assertFalse(told(then, CUT).from().isBefore(friday));
        assertTrue(told(then, CLEAN).from().isBefore(friday), "the rest goes on");
        assertEquals(castings.subList(1, 4), tried.subList(1, 4));
    }
}
