package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.hours.Stretch;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** What can have no place, and why, before anybody looks for one. */
class HindrancesTest {
    private static final int WEEKS = 90_000;

    private static Work work(String id, String station, String person, int earliest, Piece piece) {
        return Work.of(id, "T-1", List.of(piece), List.of(station), List.of(person), "", earliest);
    }

    private static Work work(String id) {
        return work(id, "bench", "Ines", 0, new Piece(10, Piece.Kind.ATTENDED));
    }

    private static Hindrances.Cleared cleared(List<Work> works, List<Order> orders) {
        return Hindrances.of(new Bench(
                CheckerTest.TIME,
                List.of(
                        new Station("bench", 1, List.of(), ""),
                        new Station("surfacer", 1, List.of(new Stretch(0, WEEKS)), "")),
                List.of(new Person("Ines", List.of()), new Person("Oda", List.of(new Stretch(0, WEEKS)))),
                List.of(),
                works,
                orders,
                List.of(),
                List.of(),
                0));
    }

    @Test
    void everyKindNamesWhatStandsAgainstIt() {
        Hindrances.Cleared cleared = cleared(
                List.of(
                        work("down", "surfacer", "Ines", 0, new Piece(10, Piece.Kind.ATTENDED)),
                        work("unknown", "mill", "Ines", 0, new Piece(10, Piece.Kind.ATTENDED)),
                        work("away", "bench", "Oda", 0, new Piece(10, Piece.Kind.ATTENDED)),
                        work("long", "bench", "Ines", 0, new Piece(481, Piece.Kind.WHOLE)),
                        work("late", "bench", "Ines", 960, new Piece(10, Piece.Kind.ATTENDED)),
                        work("a day", "bench", "Ines", 0, new Piece(480, Piece.Kind.WHOLE)),
                        work("by itself", "bench", "Oda", 0, new Piece(500, Piece.Kind.ALONE)),
                        work("a day by itself", "bench", "Oda", 0, new Piece(480, Piece.Kind.BY_DAY)),
                        work("over night", "bench", "Oda", 0, new Piece(481, Piece.Kind.BY_DAY)),
                        work("after"),
                        work("free")),
                List.of(new Order("down", "after", true), new Order("late", "free", false)));
        assertEquals(
                Set.of(
                        new Hindrance(Hindrance.Kind.NO_STATION, "down", "surfacer"),
                        new Hindrance(Hindrance.Kind.NO_STATION, "unknown", "mill"),
                        new Hindrance(Hindrance.Kind.NOBODY, "away", "Oda"),
                        new Hindrance(Hindrance.Kind.TOO_LONG, "long", ""),
                        new Hindrance(Hindrance.Kind.NOT_AT_NIGHT, "over night", "bench"),
                        new Hindrance(Hindrance.Kind.PAST_THE_END, "late", ""),
                        new Hindrance(Hindrance.Kind.AFTER_ANOTHER, "after", "down")),
                Set.copyOf(cleared.found()));
        assertEquals(
                Set.of("a day", "by itself", "a day by itself", "free"),
                cleared.bench().works().stream().map(Work::id).collect(Collectors.toSet()));
        assertEquals(List.of(), cleared.bench().orders(), "orders of what is left out are left out");
    }

    @Test
    void aCircleIsToldOfThoseInItAndOfWhatFollows() {
        List<Order> orders = List.of(
                new Order("a", "b", true),
                new Order("b", "c", true),
                new Order("c", "b", true),
                new Order("c", "d", true),
                new Order("d", "a", false));
        Hindrances.Cleared cleared = cleared(List.of(work("a"), work("b"), work("c"), work("d")), orders);
        assertEquals(
                Set.of(
                        new Hindrance(Hindrance.Kind.CIRCLE, "b", "c"),
                        new Hindrance(Hindrance.Kind.CIRCLE, "c", "b"),
                        new Hindrance(Hindrance.Kind.AFTER_ANOTHER, "d", "c")),
                Set.copyOf(cleared.found()));
        assertEquals(1, cleared.bench().works().size());
    }
}
