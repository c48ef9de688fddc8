package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.Material;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import java.time.Duration;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Works out of a route: nobody types them. */
class RouteWorksTest {
    private static final JobSize FOUR = new JobSize(4, 8, 8, 2);

    private static Crew crew(StationKind... without) {
        Map<StationKind, List<String>> stations = new EnumMap<>(StationKind.class);
        Map<StationKind, List<String>> people = new EnumMap<>(StationKind.class);
        for (StationKind kind : StationKind.values()) {
            if (!List.of(without).contains(kind)) {
                stations.put(kind, List.of(kind.name()));
            }
            people.put(kind, kind == StationKind.SURFACER ? List.of("Marit") : List.of("Ines", "Marit"));
        }
        return new Crew(stations, people, Set.of(StationKind.TANK));
    }

    private static RouteWorks works(Material metal, Crew crew, Event... events) {
        return RouteWorks.of(casting(metal, Optional.empty(), events), crew, CheckerTest.TIME);
    }

    /** Nothing is done to it in the first half hour. */
    private static AtTheBench casting(Material metal, Optional<AtTheBench.InHand> inHand, Event... events) {
        return new AtTheBench(
                "T-1",
                metal,
                Route.of(List.of(events)),
                o -> FOUR,
                Optional.empty(),
                Optional.empty(),
                1,
                new AtTheBench.Waits(Optional.of(CheckerTest.TIME.beginsAt(30)), Map.of()),
                inHand,
                Map.of());
    }

    private static Bench bench(RouteWorks of, Crew crew) {
        return new Bench(
                CheckerTest.TIME,
                crew.stations().values().stream()
                        .flatMap(List::stream)
                        .map(s -> new Station(s, 1, List.of(), ""))
                        .toList(),
                List.of(new Person("Ines", List.of()), new Person("Marit", List.of())),
                List.of(),
                of.works(),
                of.orders(),
                List.of(),
                List.of(),
                0);
    }

    @Test
    void aFaceThatIsOutIsCleanedLookedAtPlannedCutAndProven() {
        Crew crew = crew();
        RouteWorks made =
                works(Material.CAST_IRON, crew, new Event.Found(Finding.FACE_OUT), new Event.Did(Operation.FACE_CHECK));
        List<String> stations = made.works().stream()
                .map(w -> w.ways().get(0).station())
                .sorted()
                .toList();
        assertTrue(
                stations.containsAll(List.of("OVEN", "CRACKS", "SURFACER", "MEASURING", "WASH", "HANDS")),
                stations::toString);
        Work cut = made.works().stream()
                .filter(w -> w.ways().get(0).station().equals("SURFACER"))
                .findFirst()
                .orElseThrow();
        assertEquals(List.of("Marit"), cut.people());
        assertEquals("CAST_IRON", cut.setUp());
        assertEquals(30, cut.earliest());
        Bench bench = bench(made, crew);
        ListScheduler.Made placed = ListScheduler.of(bench, 0, 1);
        assertEquals(List.of(), placed.left());
        assertEquals(List.of(), Checker.look(bench, placed.timetable()));
        assertEquals(List.of(), Score.broken(bench, placed.timetable()));
    }

    @Test
    void whatIsDoneIsNotDoneAgain() {
        RouteWorks all = works(Material.ALUMINIUM, crew());
        RouteWorks clean = works(Material.ALUMINIUM, crew(), new Event.Did(Operation.CLEAN));
        assertEquals(all.works().size() - 1, clean.works().size());
        assertTrue(clean.orders().stream()
                .allMatch(o -> clean.works().stream().anyMatch(w -> w.id().equals(o.before()))));
    }

    @Test
    void aWeldIsAwayForDaysAndNobodyIsAtIt() {
        Work weld = works(Material.ALUMINIUM, crew(), new Event.Found(Finding.CRACK_TO_WELD)).works().stream()
                .filter(Work::outside)
                .findFirst()
                .orElseThrow();
        assertTrue(weld.minutes() > 24 * 60);
        assertEquals(List.of(), weld.people());
    }

    private static Piece.Kind runs(RouteWorks of, StationKind kind) {
        return of.works().stream()
                .map(w -> w.ways().get(0))
                .filter(w -> w.station().equals(kind.name()))
                .flatMap(w -> w.pieces().stream())
                .filter(p -> !p.attended())
                .findFirst()
                .orElseThrow()
                .kind();
    }

    @Test
    void whatTheShopDoesNotLeaveOnWaitsOutTheNight() {
        RouteWorks iron = works(Material.CAST_IRON, crew());
        assertEquals(Piece.Kind.BY_DAY, runs(iron, StationKind.OVEN));
        assertEquals(Piece.Kind.BY_DAY, runs(iron, StationKind.CRACKS));
        assertEquals(Piece.Kind.ALONE, runs(works(Material.ALUMINIUM, crew()), StationKind.TANK));
        Crew oven = new Crew(crew().stations(), crew().people(), Set.of(StationKind.OVEN));
        assertEquals(Piece.Kind.ALONE, runs(works(Material.CAST_IRON, oven), StationKind.OVEN));
        assertEquals(Piece.Kind.BY_DAY, runs(works(Material.ALUMINIUM, oven), StationKind.TANK));
        Work weld = works(Material.ALUMINIUM, crew(), new Event.Found(Finding.CRACK_TO_WELD)).works().stream()
                .filter(Work::outside)
                .findFirst()
                .orElseThrow();
        assertEquals(
                Piece.Kind.ALONE, weld.ways().get(0).pieces().get(0).kind(), "a casting that is away has no night");
    }

    @Test
    void whatIsInTheOvenRunsOnWhateverTheHour() {
        AtTheBench.InHand since = new AtTheBench.InHand(
                Operation.CLEAN, "Ines", CheckerTest.TIME.from().minus(Duration.ofMinutes(40)));
        RouteWorks made = RouteWorks.of(casting(Material.CAST_IRON, Optional.of(since)), crew(), CheckerTest.TIME);
        assertEquals(Piece.Kind.ALONE, runs(made, StationKind.OVEN));
    }

    @Test
    void whatIsInHandStaysThereForAsLongAsIsLeft() {
        AtTheBench.InHand since = new AtTheBench.InHand(
                Operation.CLEAN, "Ines", CheckerTest.TIME.from().minus(Duration.ofMinutes(40)));
        RouteWorks made = RouteWorks.of(casting(Material.ALUMINIUM, Optional.of(since)), crew(), CheckerTest.TIME);
        Work clean = made.works().stream()
                .filter(w -> RouteWorks.operation(w.id()) == Operation.CLEAN)
                .findFirst()
                .orElseThrow();
        assertEquals("T-1", RouteWorks.casting(clean.id()));
        assertEquals(OptionalInt.of(0), clean.at());
        assertEquals(List.of("Ines"), clean.people());
        // 10 at it, 45 in the tank, 15 at it: of 40 minutes the first five are all that can be left of the first piece.
        assertEquals(
                List.of(5, 10, 15),
                clean.ways().get(0).pieces().stream().map(Piece::minutes).toList());
        AtTheBench.InHand desk = new AtTheBench.InHand(Operation.CLEAN, "Desk", CheckerTest.TIME.from());
        assertEquals(
                works(Material.ALUMINIUM, crew()),
                RouteWorks.of(casting(Material.ALUMINIUM, Optional.of(desk)), crew(), CheckerTest.TIME),
                "whoever is not at the bench is at nothing");
    }

    @Test
    void whatTheShopHasNoStationForIsToldByItsName() {
        Crew crew = crew(StationKind.SURFACER);
        RouteWorks made = works(Material.CAST_IRON, crew, new Event.Found(Finding.FACE_OUT));
        List<Hindrance> found = Hindrances.of(bench(made, crew)).found();
        assertTrue(
                found.stream()
                        .anyMatch(h -> h.kind() == Hindrance.Kind.NO_STATION
                                && h.other().equals("SURFACER")),
                found::toString);
        assertEquals(
                Map.of(Hindrance.Kind.NO_STATION, true, Hindrance.Kind.AFTER_ANOTHER, true),
                found.stream().collect(Collectors.toMap(Hindrance::kind, h -> true, (a, b) -> a)));
    }
}
