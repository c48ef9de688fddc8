package homalon.core.bench;

import homalon.core.hours.Stretch;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** What of a bench can have no place whoever places it, told before anybody tries. */
public final class Hindrances {
    /**
     * A bench with what can have a place.
     *
     * @param bench without those works
     * @param found one for each of them
     */
    public record Cleared(Bench bench, List<Hindrance> found) {}

    private final Bench bench;
    private final Map<String, Hindrance> found = new LinkedHashMap<>();
    private final Set<String> up = new HashSet<>();
    private final Set<String> there = new HashSet<>();

    private Hindrances(Bench bench) {
        this.bench = bench;
        Stretch whole = new Stretch(0, bench.time().length());
        bench.stations().stream()
                .filter(s -> !Stretch.without(whole, s.away()).isEmpty())
                .forEach(s -> up.add(s.id()));
        bench.people().stream()
                .filter(p -> !Stretch.without(whole, p.away()).isEmpty())
                .forEach(p -> there.add(p.id()));
    }

    public static Cleared of(Bench bench) {
        Hindrances hindrances = new Hindrances(bench);
        bench.works().forEach(hindrances::alone);
        hindrances.circles();
        hindrances.after();
        List<Work> kept = bench.works().stream()
                .filter(w -> !hindrances.found.containsKey(w.id()))
                .toList();
        return new Cleared(bench.with(kept), List.copyOf(hindrances.found.values()));
    }

    private void hinders(Hindrance.Kind kind, String work, String other) {
        found.putIfAbsent(work, new Hindrance(kind, work, other));
    }

    private void alone(Work work) {
        int longest = bench.time().openings().stream()
                .mapToInt(Stretch::minutes)
                .max()
                .orElse(0);
        List<Way> ways = work.ways().stream()
                .filter(w -> w.station().isEmpty() || up.contains(w.station()))
                .toList();
        if (ways.isEmpty()) {
            hinders(Hindrance.Kind.NO_STATION, work.id(), work.ways().get(0).station());
        } else if (work.attended() && work.people().stream().noneMatch(there::contains)) {
            hinders(
                    Hindrance.Kind.NOBODY,
                    work.id(),
                    work.people().stream().findFirst().orElse(""));
        } else if (ways.stream().noneMatch(w -> fits(w, longest))) {
            hinders(Hindrance.Kind.TOO_LONG, work.id(), "");
        } else if (ways.stream().noneMatch(this::fitsByDay)) {
            hinders(Hindrance.Kind.NOT_AT_NIGHT, work.id(), ways.get(0).station());
        } else if (work.earliest() >= bench.time().length()) {
            hinders(Hindrance.Kind.PAST_THE_END, work.id(), "");
        }
    }

    private static boolean fits(Way way, int longest) {
        return way.pieces().stream().noneMatch(p -> p.kind() == Piece.Kind.WHOLE && p.minutes() > longest);
    }

    private boolean fitsByDay(Way way) {
        return way.pieces().stream()
                .filter(p -> p.kind() == Piece.Kind.BY_DAY)
                .noneMatch(p -> bench.time().beginsByDayFor(p.minutes()).isEmpty());
    }

    /** What is left once all was taken away, again and again, before which nothing comes, and then all after which nothing does. */
    private void circles() {
        Set<String> left = new HashSet<>();
        bench.works().forEach(w -> left.add(w.id()));
        peel(left, true);
        peel(left, false);
        for (Order order : bench.orders()) {
            if (order.must() && left.contains(order.before()) && left.contains(order.after())) {
                hinders(Hindrance.Kind.CIRCLE, order.after(), order.before());
            }
        }
    }

    private void peel(Set<String> left, boolean fromTheFirst) {
        Map<String, Integer> waits = new HashMap<>();
        Map<String, List<String>> next = new HashMap<>();
        for (Order order : bench.orders()) {
            String a = fromTheFirst ? order.before() : order.after();
            String b = fromTheFirst ? order.after() : order.before();
            if (order.must() && left.contains(a) && left.contains(b)) {
                waits.merge(b, 1, Integer::sum);
                next.computeIfAbsent(a, k -> new ArrayList<>()).add(b);
            }
        }
        Deque<String> free = new ArrayDeque<>();
        left.stream().filter(w -> !waits.containsKey(w)).forEach(free::add);
        while (!free.isEmpty()) {
            String one = free.remove();
            left.remove(one);
            for (String other : next.getOrDefault(one, List.of())) {
                if (waits.merge(other, -1, Integer::sum) == 0) {
                    free.add(other);
                }
            }
        }
    }

    private void after() {
        Deque<String> hindered = new ArrayDeque<>(found.keySet());
        while (!hindered.isEmpty()) {
            String one = hindered.remove();
            for (Order order : bench.orders()) {
                if (order.must() && order.before().equals(one) && !found.containsKey(order.after())) {
                    hinders(Hindrance.Kind.AFTER_ANOTHER, order.after(), one);
                    hindered.add(order.after());
                }
            }
        }
    }
}
