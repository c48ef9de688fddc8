package homalon.core.bench;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.bench.Placed.Part;
import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Every error that is planted in a legal timetable is found, and nothing in one that is legal. */
class CheckerTest {
    /** Two days of eight hours; a night of sixteen between them. */
    static final OpenTime TIME = new OpenTime(
            Instant.parse("2026-11-02T07:00:00Z"), List.of(new Stretch(0, 480), new Stretch(1440, 1920)), 2880);

    private static Work work(String id, String casting, String station, String setUp, int earliest, Piece... pieces) {
        return Work.of(
                id,
                casting,
                List.of(pieces),
                station.isEmpty() ? List.of() : List.of(station),
                station.isEmpty() ? List.of() : station.equals("surfacer") ? List.of("Ines") : List.of("Ines", "Oda"),
                setUp,
                earliest);
    }

    private static Piece piece(int minutes, Piece.Kind kind) {
        return new Piece(minutes, kind);
    }

    private static Work bake(String id, String casting, String programme, Piece.Kind kind) {
        return work(
                id,
                casting,
                "oven",
                programme,
                0,
                piece(5, Piece.Kind.ATTENDED),
                piece(60, kind),
                piece(5, Piece.Kind.ATTENDED));
    }

    static final Bench BENCH = new Bench(
            TIME,
            List.of(
                    new Station("surfacer", 1, List.of(new Stretch(200, 260)), "iron"),
                    new Station("oven", 2, List.of(), ""),
                    new Station("bench", 1, List.of(), "")),
            List.of(new Person("Ines", List.of(new Stretch(300, 330))), new Person("Oda", List.of())),
            List.of(),
            List.of(
                    bake("bake 1", "T-1", "hot", Piece.Kind.ALONE),
                    bake("bake 2", "T-2", "hot", Piece.Kind.ALONE),
                    bake("bake 3", "T-3", "warm", Piece.Kind.BY_DAY),
                    work("cut 1", "T-1", "surfacer", "iron", 0, piece(30, Piece.Kind.WHOLE)),
                    work("cut 2", "T-2", "surfacer", "aluminium", 0, piece(30, Piece.Kind.WHOLE)),
                    work("look 1", "T-1", "bench", "", 10, piece(40, Piece.Kind.ATTENDED)),
                    work("weld 3", "T-3", "", "", 0, piece(300, Piece.Kind.ALONE))),
            List.of(new Order("bake 1", "cut 1", true), new Order("cut 1", "look 1", false)),
            List.of(new Change("surfacer", "", "", 20)),
            List.of(),
            0);

    static Placed placed(String work, String station, int setUp, Part... parts) {
        return new Placed(work, station, setUp, List.of(parts));
    }

    static Part part(String who, int from, int to) {
        return new Part(who, from, to);
    }

    static final Timetable LEGAL = new Timetable(List.of(
            placed("bake 1", "oven", 0, part("Oda", 0, 5), part("", 10, 70), part("Oda", 70, 75)),
            placed("bake 2", "oven", 0, part("Oda", 5, 10), part("", 10, 70), part("Oda", 75, 80)),
            placed("bake 3", "oven", 0, part("Oda", 80, 85), part("", 85, 145), part("Oda", 145, 150)),
            placed("cut 1", "surfacer", 0, part("Ines", 80, 110)),
            placed("cut 2", "surfacer", 20, part("Ines", 140, 170)),
            placed("look 1", "bench", 0, part("Oda", 450, 490)),
            placed("weld 3", "", 0, part("", 150, 450))));

    @Test
    void nothingIsFoundInALegalOne() {
        assertEquals(List.of(), Checker.look(BENCH, LEGAL));
    }

    static UnaryOperator<Timetable> instead(Placed... some) {
        return legal -> {
            List<Placed> all = new ArrayList<>(legal.placed());
            for (Placed one : some) {
                all.removeIf(p -> p.work().equals(one.work()));
                all.add(one);
            }
            return new Timetable(all);
        };
    }

    private static Arguments planted(Breach.Kind kind, String work, String other, Placed... instead) {
        return Arguments.of(new Breach(kind, work, other), instead(instead));
    }

    static Stream<Arguments> planted() {
        return Stream.of(
                Arguments.of(new Breach(Breach.Kind.MISSING, "weld 3", ""), (UnaryOperator<Timetable>)
                        t -> new Timetable(t.placed().stream()
                                .filter(p -> !p.work().equals("weld 3"))
                                .toList())),
                Arguments.of(new Breach(Breach.Kind.NOT_ASKED_FOR, "weld 3", ""), (UnaryOperator<Timetable>) t ->
                        new Timetable(Stream.concat(
                                        t.placed().stream(),
                                        t.placed().stream().filter(p -> p.work().equals("weld 3")))
                                .toList())),
                planted(Breach.Kind.NOT_ASKED_FOR, "paint", "", placed("paint", "bench", 0, part("Oda", 0, 5))),
                planted(Breach.Kind.STATION, "look 1", "oven", placed("look 1", "oven", 0, part("Oda", 420, 460))),
                planted(Breach.Kind.STATION, "weld 3", "bench", placed("weld 3", "bench", 0, part("", 150, 450))),
                planted(Breach.Kind.PERSON, "cut 1", "Oda", placed("cut 1", "surfacer", 0, part("Oda", 85, 115))),
                planted(Breach.Kind.PERSON, "look 1", "", placed("look 1", "bench", 0, part("", 450, 490))),
                planted(Breach.Kind.PERSON, "weld 3", "Oda", placed("weld 3", "", 0, part("Oda", 150, 450))),
                planted(Breach.Kind.PIECES, "look 1", "", placed("look 1", "bench", 0, part("Oda", 450, 489))),
                planted(
                        Breach.Kind.PIECES,
                        "bake 3",
                        "",
                        placed("bake 3", "oven", 0, part("Oda", 80, 85), part("", 85, 144), part("Oda", 145, 150))),
                planted(
                        Breach.Kind.PIECES,
                        "bake 3",
                        "",
                        placed("bake 3", "oven", 0, part("Oda", 80, 85), part("", 84, 144), part("Oda", 145, 150))),
                planted(Breach.Kind.PIECES, "bake 3", "", placed("bake 3", "oven", 0, part("Oda", 80, 85))),
                planted(
                        Breach.Kind.AT_NIGHT,
                        "bake 3",
                        "",
                        placed("bake 3", "oven", 0, part("Oda", 435, 440), part("", 440, 480), part("Oda", 490, 495)),
                        placed("weld 3", "", 0, part("", 0, 300))),
                planted(
                        Breach.Kind.SET_UP,
                        "cut 2",
                        "surfacer",
                        placed("cut 2", "surfacer", 0, part("Ines", 140, 170))),
                planted(
                        Breach.Kind.SET_UP,
                        "cut 1",
                        "surfacer",
                        placed("cut 1", "surfacer", 20, part("Ines", 100, 130))),
                planted(
                        Breach.Kind.STATION_TWICE,
                        "cut 2",
                        "cut 1",
                        placed("cut 2", "surfacer", 20, part("Ines", 125, 155))),
                planted(
                        Breach.Kind.TOGETHER,
                        "bake 2",
                        "bake 1",
                        placed("bake 2", "oven", 0, part("Ines", 5, 10), part("", 11, 71), part("Oda", 75, 80))),
                planted(
                        Breach.Kind.TOGETHER,
                        "bake 3",
                        "bake 1",
                        placed("bake 3", "oven", 0, part("Ines", 0, 5), part("", 10, 70), part("Oda", 80, 85))),
                planted(
                        Breach.Kind.PERSON_TWICE,
                        "look 1",
                        "bake 3",
                        placed("look 1", "bench", 0, part("Oda", 120, 160)),
                        placed("bake 3", "oven", 0, part("Oda", 80, 85), part("", 85, 145), part("Oda", 145, 150))),
                planted(
                        Breach.Kind.PERSON_TWICE,
                        "cut 1",
                        "cut 2",
                        placed("cut 1", "surfacer", 0, part("Ines", 95, 125))),
                planted(
                        Breach.Kind.CASTING_TWICE,
                        "cut 1",
                        "look 1",
                        placed("look 1", "bench", 0, part("Oda", 100, 140))),
                planted(Breach.Kind.DOWN, "cut 2", "surfacer", placed("cut 2", "surfacer", 20, part("Ines", 171, 201))),
                planted(Breach.Kind.AWAY, "cut 2", "Ines", placed("cut 2", "surfacer", 20, part("Ines", 340, 370))),
                planted(Breach.Kind.LEFT_LYING, "cut 2", "", placed("cut 2", "surfacer", 20, part("Ines", 460, 490))),
                planted(Breach.Kind.EARLY, "look 1", "", placed("look 1", "bench", 0, part("Oda", 9, 49))),
                planted(Breach.Kind.ORDER, "cut 1", "bake 1", placed("cut 1", "surfacer", 0, part("Ines", 74, 104))),
                planted(Breach.Kind.PAST_THE_END, "look 1", "", placed("look 1", "bench", 0, part("Oda", 921, 961))));
    }

    @ParameterizedTest
    @MethodSource("planted")
    void whatIsPlantedIsFound(Breach breach, UnaryOperator<Timetable> planted) {
        List<Breach> found = Checker.look(BENCH, planted.apply(LEGAL));
        assertTrue(found.contains(breach) || found.contains(turned(breach)), () -> breach + " among " + found);
    }

    /** Of two that meet either may be named first. */
    private static Breach turned(Breach of) {
        return new Breach(of.kind(), /* work= */ of.other(), /* other= */ of.work());
    }

    @Test
    void aPinIsKeptToTheMinute() {
        List<Work> works = BENCH.works().stream()
                .map(w -> w.id().equals("look 1") ? w.at(449) : w)
                .toList();
        assertEquals(List.of(new Breach(Breach.Kind.PIN, "look 1", "")), Checker.look(BENCH.with(works), LEGAL));
    }

    @Test
    void noMoreGoInThanItHolds() {
        Bench small = new Bench(
                TIME,
                List.of(
                        BENCH.stations().get(0),
                        new Station("oven", 1, List.of(), ""),
                        BENCH.stations().get(2)),
                BENCH.people(),
                BENCH.dues(),
                BENCH.works(),
                BENCH.orders(),
                BENCH.changes(),
                List.of(),
                0);
        assertTrue(Checker.look(small, LEGAL).contains(new Breach(Breach.Kind.STATION_TWICE, "bake 2", "bake 1")));
    }
}
