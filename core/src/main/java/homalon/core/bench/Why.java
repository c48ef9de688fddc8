package homalon.core.bench;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * Why a work is not done earlier: what ends just where it begins, and why that is not earlier, until something is found that no work moves.
 * Of several things that end there the one is told that changes least by being told: what must come before it, then its casting, its
 * station, whoever does it.
 */
public final class Why {
    /** What holds it. */
    public enum Holds {
        /** Somebody pinned it there, or it is in hand. */
        PINNED,
        /** It cannot begin before: a part, an answer, a casting that is away. */
        NOT_BEFORE,
        /** Another work must come before it. */
        AFTER,
        /** Another is better before it. */
        BETTER_AFTER,
        /** The casting is in other hands. */
        CASTING,
        /** Another is on the station. */
        STATION,
        /** The station is down. */
        DOWN,
        /** Whoever does it is at another. */
        PERSON,
        /** Whoever does it is not there. */
        AWAY,
        /** It is not left lying, and the shop closes before it would be done. */
        CLOSING,
        /** It is the first thing there is. */
        NOW,
        /** Nothing: it could begin earlier. */
        NOTHING;

        private final Message words = Message.of(this);

        /** Its sentence, of whatever {@link PlanWords} puts into it. */
        public Message words() {
            return words;
        }
    }

    /**
     * One link of the chain.
     *
     * @param work that is held
     * @param by what, and for another work which, for a station or a person its name; empty for the rest
     */
    public record Link(String work, Holds holds, String by) {}

    private final Bench bench;
    private final Map<String, Placed> placed;
    private final Map<String, Work> works;

    private Why(Bench bench, Timetable timetable) {
        this.bench = bench;
        this.placed = timetable.byWork();
        this.works = bench.works().stream().collect(Collectors.toMap(Work::id, Function.identity()));
    }

    /**
     * @param timetable legal
     * @param work placed in it
     * @return the chain, the work itself first
     * @throws IllegalArgumentException for a work that is not placed
     */
    public static List<Link> notEarlier(Bench bench, Timetable timetable, String work) {
        Why why = new Why(bench, timetable);
        if (!why.placed.containsKey(work)) {
            throw new IllegalArgumentException("it is not placed: " + work);
        }
        List<Link> chain = new ArrayList<>();
        Set<String> seen = new HashSet<>();
        String next = work;
        while (!next.isEmpty() && seen.add(next)) {
            Link link = why.link(why.place(next));
            chain.add(link);
            next = why.placed.containsKey(link.by()) ? link.by() : "";
        }
        return List.copyOf(chain);
    }

    /** The first link of each, by work. */
    static Map<String, Link> first(Bench bench, Timetable timetable) {
        Why why = new Why(bench, timetable);
        return timetable.placed().stream().collect(Collectors.toMap(Placed::work, why::link));
    }

    private Placed place(@Nullable String work) {
        Placed one = placed.get(work);
        if (one == null) {
            throw new IllegalArgumentException("it is not placed: " + work);
        }
        return one;
    }

    private Link link(Placed of) {
        Work work = works.get(of.work());
        if (work == null) {
            throw new IllegalArgumentException("it is not of this bench: " + of.work());
        }
        if (work.at().isPresent()) {
            return new Link(of.work(), Holds.PINNED, "");
        }
        return before(of, true)
                .map(b -> new Link(of.work(), Holds.AFTER, b))
                .or(() -> other(of, o -> sameCasting(of, o) && o.to() == of.from(), Holds.CASTING))
                .or(() -> work.earliest() == of.from() && of.from() > 0
                        ? Optional.of(new Link(of.work(), Holds.NOT_BEFORE, ""))
                        : Optional.empty())
                .or(() -> other(of, o -> sameStation(of, o) && o.to() == of.begins(), Holds.STATION))
                .or(() -> down(of))
                .or(() -> other(of, o -> endsFor(of.person(), o, of.begins()), Holds.PERSON))
                .or(() -> away(of))
                .or(() -> before(of, false).map(b -> new Link(of.work(), Holds.BETTER_AFTER, b)))
                .orElseGet(() -> new Link(of.work(), rest(work, of), ""));
    }

    private Holds rest(Work work, Placed of) {
        if (of.begins() == 0) {
            return Holds.NOW;
        }
        List<Piece> pieces = work.ways().get(0).pieces();
        boolean whole = pieces.get(0).kind() == Piece.Kind.WHOLE
                || pieces.stream().anyMatch(p -> p.kind() == Piece.Kind.BY_DAY);
        boolean opens = bench.time().openings().stream().anyMatch(o -> o.from() == of.from());
        return whole && opens ? Holds.CLOSING : Holds.NOTHING;
    }

    /** Of the works that come before it the one that ends where it begins. */
    private Optional<String> before(Placed of, boolean must) {
        return bench.orders().stream()
                .filter(o -> o.must() == must && o.after().equals(of.work()) && placed.containsKey(o.before()))
                .map(Order::before)
                .filter(b -> place(b).to() == of.from())
                .findFirst();
    }

    private Optional<Link> other(Placed of, java.util.function.Predicate<Placed> holds, Holds how) {
        return placed.values().stream()
                .filter(o -> !o.work().equals(of.work()))
                .filter(holds)
                .min(Comparator.comparing(Placed::work))
                .map(o -> new Link(of.work(), how, o.work()));
    }

    private boolean sameCasting(Placed a, Placed b) {
        Work one = works.get(a.work());
        Work other = works.get(b.work());
        return one != null && other != null && one.casting().equals(other.casting());
    }

    private static boolean sameStation(Placed a, Placed b) {
        return !a.station().isEmpty() && a.station().equals(b.station());
    }

    private static boolean endsFor(String person, Placed other, int minute) {
        return !person.isEmpty()
                && other.parts().stream().anyMatch(p -> p.person().equals(person) && p.to() == minute);
    }

    private Optional<Link> down(Placed of) {
        return bench.stations().stream()
                .filter(s -> s.id().equals(of.station()))
                .filter(s -> s.away().stream().anyMatch(a -> a.to() == of.begins()))
                .map(s -> new Link(of.work(), Holds.DOWN, s.id()))
                .findFirst();
    }

    private Optional<Link> away(Placed of) {
        return bench.people().stream()
                .filter(p -> p.id().equals(of.person()))
                .filter(p -> p.away().stream().anyMatch(a -> a.to() == of.begins()))
                .map(p -> new Link(of.work(), Holds.AWAY, p.id()))
                .findFirst();
    }
}
