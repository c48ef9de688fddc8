package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Tells whether a timetable is legal, from the bench alone: it knows nothing of how the timetable was made, and shares no code with what
 * makes one. What it does not find is proven.
 */
public final class Checker {
    /** A work with its place. */
    private record Both(Work work, Placed placed) {
        Stretch held() {
            return new Stretch(placed.begins(), placed.to());
        }
    }

    private final Bench bench;
    private final List<Both> all = new ArrayList<>();
    private final List<Breach> found = new ArrayList<>();

    private Checker(Bench bench) {
        this.bench = bench;
    }

    /** @return what is not legal, in no order that counts; empty for a legal one */
    public static List<Breach> look(Bench bench, Timetable timetable) {
        Checker checker = new Checker(bench);
        checker.pair(timetable);
        checker.all.forEach(checker::alone);
        checker.stations();
        checker.people();
        checker.castings();
        checker.orders();
        return List.copyOf(checker.found);
    }

    private void breach(Breach.Kind kind, Work work, String other) {
        found.add(new Breach(kind, work.id(), other));
    }

    private void require(boolean holds, Breach.Kind kind, Work work, String other) {
        if (!holds) {
            breach(kind, work, other);
        }
    }

    private void pair(Timetable timetable) {
        Map<String, Work> works = bench.works().stream().collect(Collectors.toMap(Work::id, Function.identity()));
        Set<String> seen = new HashSet<>();
        for (Placed placed : timetable.placed()) {
            Work work = works.get(placed.work());
            if (work == null || !seen.add(placed.work())) {
                found.add(new Breach(Breach.Kind.NOT_ASKED_FOR, placed.work(), ""));
            } else if (placed.parts().size() != work.ways().get(0).pieces().size()) {
                breach(Breach.Kind.PIECES, work, "");
            } else {
                all.add(new Both(work, placed));
            }
        }
        bench.works().stream().filter(w -> !seen.contains(w.id())).forEach(w -> breach(Breach.Kind.MISSING, w, ""));
    }

    private void alone(Both both) {
        Work work = both.work();
        Placed placed = both.placed();
        Optional<Way> way = work.ways().stream()
                .filter(w -> w.station().equals(placed.station()))
                .findFirst();
        require(way.isPresent(), Breach.Kind.STATION, work, placed.station());
        int before = placed.from();
        for (int i = 0; i < placed.parts().size(); i++) {
            Placed.Part part = placed.parts().get(i);
            require(part.from() >= before, Breach.Kind.PIECES, work, "");
            piece(work, way.orElse(work.ways().get(0)).pieces().get(i), part);
            before = part.to();
        }
        require(placed.from() >= work.earliest(), Breach.Kind.EARLY, work, "");
        require(placed.begins() >= 0, Breach.Kind.EARLY, work, "");
        require(work.at().isEmpty() || work.at().getAsInt() == placed.from(), Breach.Kind.PIN, work, "");
        require(placed.to() <= bench.time().length(), Breach.Kind.PAST_THE_END, work, "");
        require(placed.setUp() >= 0, Breach.Kind.SET_UP, work, "");
    }

    private void piece(Work work, Piece piece, Placed.Part part) {
        OpenTime time = bench.time();
        boolean byDay = piece.kind() == Piece.Kind.BY_DAY;
        int runs = byDay ? time.byDay(part.from(), piece.minutes()) : time.alone(part.from(), piece.minutes());
        int end = piece.attended() ? part.from() + piece.minutes() : runs;
        require(part.to() == end, Breach.Kind.PIECES, work, "");
        require(
                piece.attended()
                        ? work.people().contains(part.person())
                        : part.person().isEmpty(),
                Breach.Kind.PERSON,
                work,
                part.person());
        require(
                piece.kind() != Piece.Kind.WHOLE || !time.closesWithin(part.from(), part.to()),
                Breach.Kind.LEFT_LYING,
                work,
                "");
        require(!byDay || !time.intoTheNight(part.from(), piece.minutes()), Breach.Kind.AT_NIGHT, work, "");
    }

    private void stations() {
        Map<String, List<Both>> by = all.stream()
                .filter(b -> !b.placed().station().isEmpty())
                .collect(Collectors.groupingBy(b -> b.placed().station()));
        for (Station station : bench.stations()) {
            List<Both> on = new ArrayList<>(by.getOrDefault(station.id(), List.of()));
            on.sort(Comparator.comparingInt(b -> b.placed().from()));
            for (Both both : on) {
                require(
                        station.away().stream().noneMatch(both.held()::meets),
                        Breach.Kind.DOWN,
                        both.work(),
                        station.id());
            }
            if (station.together()) {
                together(station, on);
            } else {
                oneAfterTheOther(station, on);
            }
        }
    }

    private void oneAfterTheOther(Station station, List<Both> on) {
        String setUp = station.setUp();
        for (int i = 0; i < on.size(); i++) {
            Both both = on.get(i);
            int takes = bench.change(station.id(), setUp, both.work().setUp());
            require(both.placed().setUp() == takes, Breach.Kind.SET_UP, both.work(), station.id());
            if (!both.work().setUp().isEmpty()) {
                setUp = both.work().setUp();
            }
            if (i > 0) {
                require(
                        on.get(i - 1).placed().to() <= both.placed().begins(),
                        Breach.Kind.STATION_TWICE,
                        both.work(),
                        on.get(i - 1).work().id());
            }
        }
    }

    private void together(Station station, List<Both> on) {
        for (Both one : on) {
            require(one.placed().setUp() == 0, Breach.Kind.SET_UP, one.work(), station.id());
            int within = 0;
            for (Both other : on) {
                if (one.equals(other) || !one.held().meets(other.held())) {
                    continue;
                }
                within++;
                require(
                        one.work().setUp().equals(other.work().setUp()) && runs(one) == runs(other),
                        Breach.Kind.TOGETHER,
                        one.work(),
                        other.work().id());
            }
            require(within < station.holds(), Breach.Kind.TOGETHER, one.work(), station.id());
        }
    }

    /** Where it begins to run by itself; for one that never does, where it begins. */
    private static int runs(Both both) {
        List<Piece> pieces = both.work().ways().get(0).pieces();
        for (int i = 0; i < pieces.size(); i++) {
            if (!pieces.get(i).attended()) {
                return both.placed().parts().get(i).from();
            }
        }
        return both.placed().from();
    }

    /** A work with a stretch of somebody at it. */
    private record At(Work work, Stretch stretch) {}

    private void people() {
        Map<String, List<At>> by = new HashMap<>();
        for (Both both : all) {
            for (int i = 0; i < both.placed().parts().size(); i++) {
                Placed.Part part = both.placed().parts().get(i);
                int from = i == 0 ? both.placed().begins() : part.from();
                by.computeIfAbsent(part.person(), k -> new ArrayList<>())
                        .add(new At(both.work(), new Stretch(from, part.to())));
            }
        }
        for (Person person : bench.people()) {
            List<At> at = by.getOrDefault(person.id(), List.of());
            for (At one : at) {
                require(
                        person.away().stream().noneMatch(one.stretch()::meets),
                        Breach.Kind.AWAY,
                        one.work(),
                        person.id());
            }
            apart(at, Breach.Kind.PERSON_TWICE);
        }
    }

    private void castings() {
        all.stream()
                .collect(Collectors.groupingBy(b -> b.work().casting()))
                .values()
                .forEach(own -> apart(
                        own.stream()
                                .map(b -> new At(
                                        b.work(),
                                        new Stretch(
                                                b.placed().from(), b.placed().to())))
                                .toList(),
                        Breach.Kind.CASTING_TWICE));
    }

    private void apart(List<At> some, Breach.Kind kind) {
        for (int i = 0; i < some.size(); i++) {
            for (int j = i + 1; j < some.size(); j++) {
                require(
                        !some.get(i).stretch().meets(some.get(j).stretch()),
                        kind,
                        some.get(i).work(),
                        some.get(j).work().id());
            }
        }
    }

    private void orders() {
        Map<String, Both> by =
                all.stream().collect(Collectors.toMap(b -> b.work().id(), Function.identity()));
        for (Order order : bench.orders()) {
            Both before = by.get(order.before());
            Both after = by.get(order.after());
            if (order.must() && before != null && after != null) {
                require(before.placed().to() <= after.placed().from(), Breach.Kind.ORDER, after.work(), order.before());
            }
        }
    }
}
