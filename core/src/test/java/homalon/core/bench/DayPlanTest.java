package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.hours.DaysOff;
import homalon.core.hours.Hours;
import homalon.core.hours.Stretch;
import homalon.core.hours.WeekHours;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.visit.StuckOn;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** A shop's plan out of its castings, by the clock on its wall. */
class DayPlanTest {
    private static final ZoneId OSLO = ZoneId.of("Europe/Oslo");
    /** A Tuesday, an hour and a half after the shop opens. */
    private static final Instant NOW =
            LocalDate.of(2026, 3, 10).atTime(9, 0).atZone(OSLO).toInstant();

    private static ShopCrew crew(ShopCrew.Hand... hands) {
        return new ShopCrew(
                Hours.of(ShopCrew.USUAL_WEEK), ShopCrew.usualStations(), List.of(hands), ShopCrew.USUAL_CHANGES);
    }

    private static ShopCrew two() {
        return crew(ShopCrew.Hand.of("Ines"), ShopCrew.Hand.of("Marit"));
    }

    private static AtTheBench casting(int no, Optional<LocalDate> promised, AtTheBench.Waits waits, Finding... found) {
        List<Event> events = new ArrayList<>();
        for (Finding f : found) {
            events.add(new Event.Found(f));
        }
        Material metal = no % 2 == 0 ? Material.CAST_IRON : Material.ALUMINIUM;
        return new AtTheBench(
                "T-" + no,
                metal,
                Route.of(events),
                JobSizes.of(PartKind.HEAD, 4, Map.of(), 0),
                promised,
                Optional.empty(),
                1,
                waits,
                Optional.empty(),
                Map.of());
    }

    private static AtTheBench casting(int no) {
        return casting(no, Optional.empty(), AtTheBench.Waits.FOR_NOTHING, Finding.FACE_OUT);
    }

    private static DayPlan plan(ShopCrew crew, List<AtTheBench> castings, List<DayPlan.Told> told) {
        return DayPlan.of(DayPlan.bench(crew, castings, told, NOW, OSLO), 10, 7);
    }

    private static Placed work(DayPlan plan, String id) {
        Placed placed = plan.timetable().byWork().get(id);
        assertTrue(placed != null, () -> id + " of " + plan.timetable().byWork().keySet());
        return placed;
    }

    private static Instant begins(DayPlan plan, String id) {
        return plan.bench().time().beginsAt(work(plan, id).from());
    }

    @Test
    void everyOpenStepHasItsPlaceInTheShopsHours() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 12).mapToObj(DayPlanTest::casting).toList();
        DayPlan plan = plan(two(), castings, List.of());
        assertEquals(List.of(), plan.stands());
        assertEquals(List.of(), plan.left());
        Set<String> due = new TreeSet<>();
        for (AtTheBench casting : castings) {
            casting.route()
                    .openSteps()
                    .forEach(s -> due.add(casting.tag() + "/" + s.operation().name()));
        }
        assertEquals(due, new TreeSet<>(plan.timetable().byWork().keySet()));
        for (Placed placed : plan.timetable().placed()) {
            for (Placed.Part part : placed.parts()) {
                if (!part.person().isEmpty()) {
                    var at = plan.bench()
                            .time()
                            .beginsAt(part.from())
                            .atZone(OSLO)
                            .toLocalTime();
                    assertTrue(at.getHour() >= 7 && at.getHour() < 17, () -> placed + " at " + at);
                }
            }
        }
        // The same again is the same.
        assertEquals(plan.timetable(), plan(two(), castings, List.of()).timetable());
    }

    @Test
    void aMachineThatIsDownIsNotUsedUntilItIsMended() {
        Instant mended = NOW.plus(Duration.ofHours(27));
        List<ShopCrew.Post> stations = ShopCrew.usualStations().stream()
                .map(p -> p.kind() == StationKind.SURFACER
                        ? new ShopCrew.Post(
                                p.id(),
                                p.name(),
                                p.kind(),
                                p.holds(),
                                List.of(new ShopCrew.Down(NOW, Optional.of(mended))))
                        : p)
                .toList();
        ShopCrew broken = new ShopCrew(Hours.of(ShopCrew.USUAL_WEEK), stations, two().hands(), ShopCrew.USUAL_CHANGES);
        AtTheBench measured = new AtTheBench(
                "T-1",
                Material.ALUMINIUM,
                Route.of(List.of(
                        new Event.Did(Operation.CLEAN),
                        new Event.Did(Operation.CRACK_CHECK),
                        new Event.Found(Finding.FACE_OUT),
                        new Event.Did(Operation.FACE_CHECK))),
                JobSizes.of(PartKind.HEAD, 4, Map.of(), 0),
                Optional.empty(),
                Optional.empty(),
                1,
                AtTheBench.Waits.FOR_NOTHING,
                Optional.empty(),
                Map.of());
        assertTrue(begins(plan(two(), List.of(measured), List.of()), "T-1/CUT").isBefore(mended));
        Instant cut = begins(plan(broken, List.of(measured), List.of()), "T-1/CUT");
        assertTrue(!cut.isBefore(mended), cut::toString);
    }

    @Test
    void workThatWaitsForAPartWaitsAndTheRestGoesOn() {
        Instant arrives = NOW.plus(Duration.ofDays(7));
        DayPlan plan = plan(
                two(),
                List.of(casting(
                        1,
                        Optional.empty(),
                        new AtTheBench.Waits(Optional.empty(), Map.of(Operation.INSERT, arrives)),
                        Finding.FACE_OUT,
                        Finding.SEAT_TO_INSERT)),
                List.of());
        assertTrue(!begins(plan, "T-1/INSERT").isBefore(arrives));
        assertTrue(begins(plan, "T-1/CRACK_CHECK").isBefore(NOW.plus(Duration.ofDays(1))));
    }

    @Test
    void whatWaitsAltogetherAndForPartsWaitsForTheLater() {
        AtTheBench.Waits both = new AtTheBench.Waits(
                Optional.of(NOW.plus(Duration.ofDays(3))), Map.of(Operation.CUT, NOW.plus(Duration.ofDays(2))));
        assertEquals(Optional.of(NOW.plus(Duration.ofDays(3))), both.of(Operation.CUT));
        assertEquals(Optional.of(NOW.plus(Duration.ofDays(3))), both.of(Operation.CLEAN));
        AtTheBench.Waits part = new AtTheBench.Waits(
                Optional.of(NOW.plus(Duration.ofDays(1))), Map.of(Operation.CUT, NOW.plus(Duration.ofDays(2))));
        assertEquals(Optional.of(NOW.plus(Duration.ofDays(2))), part.of(Operation.CUT));
        assertEquals(Optional.empty(), AtTheBench.Waits.FOR_NOTHING.of(Operation.CUT));
    }

    @Test
    void aPromiseGoesBeforeWhatIsNotDue() {
        List<AtTheBench> castings = IntStream.rangeClosed(1, 9)
                .mapToObj(no -> no == 9
                        ? casting(
                                no,
                                Optional.of(LocalDate.of(2026, 3, 10)),
                                AtTheBench.Waits.FOR_NOTHING,
                                Finding.FACE_OUT)
                        : casting(no))
                .toList();
        DayPlan plan = plan(two(), castings, List.of());
        assertEquals(0, Score.of(plan.bench(), plan.timetable()).late());
        assertEquals(
                LocalDate.of(2026, 3, 10),
                plan.bench()
                        .time()
                        .endsAt(work(plan, "T-9/HAND_OVER").to())
                        .atZone(OSLO)
                        .toLocalDate());
    }

    @Test
    void whatWasToldStaysWhereItIs() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 8).mapToObj(DayPlanTest::casting).toList();
        DayPlan first = plan(two(), castings, List.of());
        List<AtTheBench> more = new ArrayList<>(castings);
        more.add(casting(9));
        DayPlan then = plan(two(), more, first.told());
        assertEquals(0, Score.of(then.bench(), then.timetable()).moved());
    }

    @Test
    void whatMovedIsToldWithWhyAndStaysToldForAWhile() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 8).mapToObj(DayPlanTest::casting).toList();
        DayPlan first = plan(two(), castings, List.of());
        assertEquals(List.of(), first.posted(0).moved(), "nobody was told anything before");
        WhatIf away = new WhatIf(
                Optional.empty(), Optional.of("Ines"), Optional.empty(), Optional.empty(), LocalDate.of(2026, 3, 10));
        LocalDate today = LocalDate.of(2026, 3, 10);
        Instant tomorrow = today.plusDays(1).atStartOfDay(OSLO).toInstant();
        DayPlan then = plan(away.crew(two(), today, NOW, tomorrow), castings, first.told());
        List<Posted.Move> moved = then.posted(0).moved();
        assertTrue(!moved.isEmpty());
        for (Posted.Move change : moved) {
            assertEquals(begins(first, change.work()), change.was());
            assertEquals(begins(then, change.work()), change.begins());
            if (change.begins().isAfter(change.was())) {
                assertEquals(then.posted(0).chain(change.work()).get(0), change.why());
            }
        }
        assertTrue(then.timetable().placed().stream()
                .filter(p -> p.person().equals("Ines"))
                .allMatch(p -> !begins(then, p.work()).isBefore(tomorrow)));
        Posted next = new Posted(
                List.of(), List.of(), List.of(), Map.of(), List.of(), 0, Map.of(), Posted.Gap.NONE, List.of());
        assertEquals(
                moved.subList(0, Math.min(12, moved.size())),
                next.after(moved, NOW.plus(Duration.ofHours(3))).moved());
        assertEquals(List.of(), next.after(moved, NOW.plus(Duration.ofHours(5))).moved());
    }

    /** Of two castings the one goes first whose metal was cut last; a machine that nobody named is the only one there is. */
    @Test
    void aSurfacerStandsAsItWasLeft() {
        List<AtTheBench> castings = List.of(casting(1), casting(2));
        for (Material left : Material.values()) {
            ShopCrew after = two().after(List.of(
                    new SetUpsSeen.Pass("somewhere", left, NOW.minusSeconds(60)),
                    new SetUpsSeen.Pass("", Material.CAST_IRON, NOW.minusSeconds(600))));
            assertEquals(Map.of("SURFACER", left.name()), after.standing());
            DayPlan plan = plan(after, castings, List.of());
            assertEquals(20, Score.of(plan.bench(), plan.timetable()).setUp(), "one change, between the two");
            String first = left == Material.CAST_IRON ? "T-2/CUT" : "T-1/CUT";
            assertEquals(0, work(plan, first).setUp());
        }
        ShopCrew several = new ShopCrew(
                Hours.of(ShopCrew.USUAL_WEEK),
                List.of(
                        new ShopCrew.Post("a", "Big mill", StationKind.SURFACER, 1, List.of()),
                        new ShopCrew.Post("b", "Belt", StationKind.SURFACER, 1, List.of())),
                List.of(),
                Map.of());
        assertEquals(
                Map.of("b", "ALUMINIUM"),
                several.after(List.of(
                                new SetUpsSeen.Pass("grinder", Material.CAST_IRON, NOW),
                                new SetUpsSeen.Pass(" belt", Material.ALUMINIUM, NOW),
                                new SetUpsSeen.Pass("Belt", Material.CAST_IRON, NOW)))
                        .standing());
    }

    @Test
    void aRushJobIsTriedBeforeAllOthers() {
        LocalDate today = LocalDate.of(2026, 3, 10);
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 8).mapToObj(DayPlanTest::casting).toList();
        WhatIf rush = new WhatIf(Optional.empty(), Optional.empty(), Optional.of("T-8"), Optional.empty(), today);
        Instant before = plan(two(), castings, List.of())
                .posted(0)
                .line("T-8/HAND_OVER")
                .orElseThrow()
                .told()
                .to();
        Instant now = plan(two(), rush.castings(castings, today, NOW), List.of())
                .posted(0)
                .line("T-8/HAND_OVER")
                .orElseThrow()
                .told()
                .to();
        assertTrue(now.isBefore(before), now + " and not " + before);
        assertEquals(today, now.atZone(OSLO).toLocalDate());
    }

    @Test
    void aStationThatIsTriedWithoutIsNotUsedUntilThen() {
        LocalDate today = LocalDate.of(2026, 3, 10);
        Instant again = today.plusDays(2).atStartOfDay(OSLO).toInstant();
        WhatIf down = new WhatIf(
                Optional.of("TANK"), Optional.empty(), Optional.empty(), Optional.empty(), today.plusDays(1));
        DayPlan plan = plan(down.crew(two(), today, NOW, again), List.of(casting(1)), List.of());
        assertTrue(!begins(plan, "T-1/CLEAN").isBefore(again));
        assertTrue(new WhatIf(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty(), today).nothing());
    }

    @Test
    void nobodyWhoCanAndNoStationAreTold() {
        LocalDate today = LocalDate.of(2026, 3, 10);
        ShopCrew away = crew(
                new ShopCrew.Hand(
                        "Ines",
                        Optional.empty(),
                        List.of(new DaysOff(today, today.plusDays(365), "away")),
                        EnumSet.allOf(StationKind.class)),
                new ShopCrew.Hand("Marit", Optional.empty(), List.of(), EnumSet.of(StationKind.TANK)));
        DayPlan plan = plan(away, List.of(casting(1)), List.of());
        assertEquals(
                Set.of(Hindrance.Kind.NOBODY),
                plan.stands().stream().map(Hindrance::kind).collect(Collectors.toSet()));
        assertTrue(plan.timetable().byWork().containsKey("T-1/CLEAN"), "Marit is at the tank");
        DayPlan empty = plan(crew(), List.of(casting(1)), List.of());
        assertTrue(empty.timetable().placed().isEmpty());
        ShopCrew closed = new ShopCrew(Hours.of(WeekHours.NONE), ShopCrew.usualStations(), two().hands(), Map.of());
        assertTrue(plan(closed, List.of(casting(1)), List.of())
                .timetable()
                .placed()
                .isEmpty());
    }

    @Test
    void somebodyWithOtherHoursOpensTheShop() {
        ShopCrew late = crew(new ShopCrew.Hand(
                "Ines",
                Optional.of(WeekHours.workdays(new Stretch(18 * 60, 22 * 60))),
                List.of(),
                EnumSet.allOf(StationKind.class)));
        DayPlan plan = plan(late, List.of(casting(1)), List.of());
        var at = begins(plan, "T-1/CLEAN").atZone(OSLO).toLocalTime();
        assertEquals(18, at.getHour());
    }

    /** As many as a plan holds: it is planned all the same, and what has no place within the days is told. */
    @Test
    void asManyAsItHoldsAreNoHang() {
        List<AtTheBench> castings = IntStream.rangeClosed(1, DayPlan.CASTINGS)
                .mapToObj(DayPlanTest::casting)
                .toList();
        DayPlan plan = DayPlan.of(DayPlan.bench(two(), castings, List.of(), NOW, OSLO), 0, 7);
        int works =
                castings.stream().mapToInt(c -> c.route().openSteps().size()).sum();
        assertEquals(works, plan.timetable().placed().size() + plan.left().size());
        Posted posted = plan.posted(380);
        assertEquals(plan.left(), posted.left());
        assertEquals(380, posted.beyond());
    }

    @Test
    void aPersonsDayIsReadFromThePlan() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 6).mapToObj(DayPlanTest::casting).toList();
        Posted posted = plan(two(), castings, List.of()).posted(0);
        List<Posted.Turn> day = posted.of("Ines", NOW);
        assertEquals(Posted.When.NOW, day.get(0).when());
        assertEquals(1, day.stream().filter(t -> t.when() == Posted.When.NEXT).count());
        for (int i = 1; i < day.size(); i++) {
            Posted.Turn before = day.get(i - 1);
            Instant begins =
                    day.get(i).from().minus(Duration.ofMinutes(day.get(i).setUp()));
            assertTrue(!begins.isBefore(before.to()), () -> before + " runs into the next");
        }
        // What both do is all that is done in hands.
        long parts = posted.told().stream()
                .flatMap(t -> t.parts().stream())
                .filter(p -> !p.person().isEmpty())
                .count();
        assertEquals(parts, day.size() + posted.of("Marit", NOW).size());
        // An hour later what is over is gone.
        Instant later = NOW.plus(Duration.ofHours(1));
        assertTrue(posted.of("Ines", later).stream().allMatch(t -> t.to().isAfter(later)));
    }

    @Test
    void whyNotEarlierIsFollowedToItsEnd() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 6).mapToObj(DayPlanTest::casting).toList();
        DayPlan plan = plan(two(), castings, List.of());
        for (String work : plan.timetable().byWork().keySet()) {
            assertEquals(
                    Why.notEarlier(plan.bench(), plan.timetable(), work),
                    plan.posted(0).chain(work),
                    work);
        }
    }

    @Test
    void whatIsLateIsToldWithWhenItIsDone() {
        Optional<LocalDate> yesterday = Optional.of(LocalDate.of(2026, 3, 9));
        DayPlan plan = plan(
                two(),
                List.of(casting(1, yesterday, AtTheBench.Waits.FOR_NOTHING, Finding.FACE_OUT), casting(2)),
                List.of());
        assertEquals(Set.of("T-1"), plan.posted(0).late().keySet());
        assertEquals(
                plan.bench().time().endsAt(work(plan, "T-1/HAND_OVER").to()),
                plan.posted(0).late().get("T-1"));
    }

    @Test
    void ofALateCastingThatHasNoPlaceForAWorkNoDayIsSaid() {
        Optional<LocalDate> yesterday = Optional.of(LocalDate.of(2026, 3, 9));
        List<ShopCrew.Post> without = ShopCrew.usualStations().stream()
                .filter(p -> p.kind() != StationKind.SURFACER)
                .toList();
        ShopCrew crew = new ShopCrew(Hours.of(ShopCrew.USUAL_WEEK), without, two().hands(), ShopCrew.USUAL_CHANGES);
        List<AtTheBench> castings =
                List.of(casting(1, yesterday, AtTheBench.Waits.FOR_NOTHING, Finding.FACE_OUT), casting(2));
        Posted posted = plan(crew, castings, List.of()).posted(0);
        assertTrue(posted.stands().stream().anyMatch(h -> h.work().equals("T-1/CUT")), posted.stands()::toString);
        assertTrue(posted.told().stream().anyMatch(t -> t.work().startsWith("T-1/")), "some of it has a place");
        assertEquals(Map.of(), posted.late());
        assertEquals("bench.of-what-has-a-place", PlanWords.gap(posted).code());
        assertFalse(
                PlanWords.gap(plan(two(), castings, List.of()).posted(0)).code().equals("bench.of-what-has-a-place"));
    }

    @Test
    void whatShouldHaveComeIsAwaitedTomorrow() {
        LocalDate today = LocalDate.of(2026, 3, 10);
        assertEquals(today.plusDays(4), UsualWaits.until(StuckOn.PARTS, today.minusDays(3), Optional.empty(), today));
        assertEquals(
                today.plusDays(1), UsualWaits.until(StuckOn.CUSTOMER, today.minusDays(9), Optional.empty(), today));
        assertEquals(today.plusDays(1), UsualWaits.until(StuckOn.PARTS, today, Optional.of(today.minusDays(1)), today));
        assertEquals(
                today.plusDays(12), UsualWaits.until(StuckOn.CHECK, today, Optional.of(today.plusDays(12)), today));
    }

    private static Posted.Ready ready(DayPlan plan, List<AtTheBench> castings, String tag) {
        Posted.Ready ready = plan.ready(UsualChances.of(plan.bench(), castings, Map.of()), 400)
                .get(tag);
        assertTrue(ready != null, () -> tag + " is ready some time");
        return ready;
    }

    @Test
    void theDayThatIsKeptOftenerIsLaterAndNoneIsBeforeThePlanWhereMoreMayTurnUp() {
        List<AtTheBench> castings =
                IntStream.rangeClosed(1, 6).mapToObj(DayPlanTest::casting).toList();
        DayPlan plan = plan(two(), castings, List.of());
        for (AtTheBench casting : castings) {
            Posted.Ready ready = ready(plan, castings, casting.tag());
            assertTrue(!ready.half().isAfter(ready.most()) && !ready.most().isAfter(ready.nearlyAll()));
            assertTrue(ready.half().isBefore(ready.nearlyAll()), "how long work takes is open");
            assertEquals(casting.tag() + "/HAND_OVER", ready.last());
        }
    }

    @Test
    void whatComesNextWeekMakesItReadyNoEarlier() {
        Instant comes = NOW.plus(Duration.ofDays(6));
        List<AtTheBench> castings = List.of(
                casting(
                        1,
                        Optional.empty(),
                        new AtTheBench.Waits(Optional.empty(), Map.of(Operation.CUT, comes)),
                        Finding.FACE_OUT),
                casting(3));
        DayPlan plan = plan(two(), castings, List.of());
        assertTrue(ready(plan, castings, "T-1").half().isAfter(comes));
        assertTrue(ready(plan, castings, "T-3").nearlyAll().isBefore(comes));
        Chances chances = UsualChances.of(plan.bench(), castings, Map.of());
        assertEquals(
                List.of("T-1/CUT"),
                chances.arrivals().stream().map(Chances.Arrival::work).toList());
    }

    /** A face that is known to be out is planned to be cut; of one that nobody read it is open. */
    @Test
    void whatWasFoundDoesNotTurnUpAgain() {
        List<AtTheBench> castings = List.of(casting(1), casting(3, Optional.empty(), AtTheBench.Waits.FOR_NOTHING));
        DayPlan plan = plan(two(), castings, List.of());
        Set<String> open = UsualChances.of(plan.bench(), castings, Map.of()).turns().stream()
                .map(Chances.Turn::work)
                .collect(Collectors.toCollection(TreeSet::new));
        assertTrue(open.contains("T-3/FACE_CHECK"), open::toString);
        assertTrue(!open.contains("T-1/FACE_CHECK"), open::toString);
        assertTrue(open.contains("T-1/CRACK_CHECK"), "no crack is known of it");
    }

    @Test
    void whatHasNoPlaceIsReadyOnNoDay() {
        AtTheBench never = casting(
                1,
                Optional.empty(),
                new AtTheBench.Waits(Optional.of(NOW.plus(Duration.ofDays(90))), Map.of()),
                Finding.FACE_OUT);
        List<AtTheBench> castings = List.of(never, casting(3));
        DayPlan plan = plan(two(), castings, List.of());
        assertEquals(
                Set.of("T-3"),
                plan.ready(UsualChances.of(plan.bench(), castings, Map.of()), 50)
                        .keySet());
    }

    @Test
    void thePlanTellsHowNearItIsToTheBestAndTakesABetterOneOnlyIfThatIsLegal() {
        LocalDate today = LocalDate.ofInstant(NOW, OSLO);
        List<AtTheBench> castings = IntStream.rangeClosed(1, 12)
                .mapToObj(n -> casting(
                        n, Optional.of(today.plusDays(n % 3 - 1)), AtTheBench.Waits.FOR_NOTHING, Finding.FACE_OUT))
                .toList();
        DayPlan plan = plan(two(), castings, List.of());
        Posted.Gap gap = plan.posted(0).gap();
        assertTrue(gap.late() > 0 && gap.lateAtLeast() > 0 && gap.lateAtLeast() <= gap.late(), gap::toString);
        assertTrue(gap.percent() >= 0 && gap.percent() < 100, gap::toString);
        assertEquals(new Posted.Gap(100, 100, 0, 0, false).percent(), 0);
        assertEquals(new Posted.Gap(100, 67, 0, 0, false).percent(), 33);
        assertTrue(new Posted.Gap(0, 0, 5, 0, false).leastLate());
        SolverTask task = plan.task(new Budget(1, 1, 1));
        assertEquals(plan.timetable(), plan.by(task.known()).timetable());
        Timetable half = new Timetable(
                task.known().placed().subList(0, task.known().placed().size() / 2));
        assertThrows(IllegalStateException.class, () -> plan.by(half), "works are missing");
    }

    private static Posted.Line line(String work, String station, int setUp, int minute) {
        Instant from = NOW.plus(Duration.ofMinutes(minute));
        return new Posted.Line(
                new DayPlan.Told(
                        work,
                        station,
                        setUp,
                        List.of(new DayPlan.ToldPart("Ines", from, from.plus(Duration.ofMinutes(20))))),
                new Why.Link(work, Why.Holds.NOTHING, ""),
                Posted.FREE);
    }

    /** The cutter is changed before the third, and something else is milled between the fifth and the sixth. */
    @Test
    void whatIsCutWithOneSetUpIsToldAsARow() {
        Posted posted = new Posted(
                List.of(
                        line("A/CUT", "mill", 15, 0),
                        line("B/CUT", "mill", 0, 20),
                        line("C/CUT", "mill", 15, 60),
                        line("D/CUT", "mill", 0, 80),
                        line("D/CUT/2", "mill", 0, 90),
                        line("E/CUT", "mill", 0, 100),
                        line("F/REFERENCE_CUT", "mill", 0, 120),
                        line("G/CUT", "mill", 0, 140),
                        line("H/CUT", "other", 0, 145),
                        line("I/CUT", "", 0, 150)),
                List.of(),
                List.of(),
                Map.of(),
                List.of(),
                0,
                Map.of(),
                Posted.Gap.NONE,
                List.of());
        assertEquals(List.of(List.of("A", "B"), List.of("C", "D", "E")), posted.inARow(Operation.CUT));
        assertEquals(List.of(), posted.inARow(Operation.PROOF));
    }
}
