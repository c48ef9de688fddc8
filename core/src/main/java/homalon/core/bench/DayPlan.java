package homalon.core.bench;

import homalon.core.hours.OpenTime;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * What a shop does when, from now on.
 *
 * @param bench that was planned, without what can have no place
 * @param timetable legal, as {@link Checker} finds
 * @param stands why some works can have no place
 * @param left works for which there was none before the end of the time
 * @param unpinned works that could not be where they were pinned or in hand
 */
public record DayPlan(
        Bench bench, Timetable timetable, List<Hindrance> stands, List<String> left, List<String> unpinned) {
    /** So far ahead a plan looks; what is not done by then is told. */
    public static final int DAYS = 60;
    /** So many castings it holds: what is due after them is planned once some of these have left. */
    public static final int CASTINGS = 120;
    /** What is told of so far ahead stays where it is, where it can. */
    private static final Duration SOON = Duration.ofHours(24);

    public DayPlan {
        stands = List.copyOf(stands);
        left = List.copyOf(left);
        unpinned = List.copyOf(unpinned);
    }

    /**
     * What somebody was told.
     *
     * @param work its id
     * @param station that it is done on; empty for outside the shop
     * @param setUp minutes before it in which the station is set up
     * @param parts one for each of its pieces
     */
    public record Told(String work, String station, int setUp, List<ToldPart> parts) {
        public Told {
            parts = List.copyOf(parts);
        }

        public Instant from() {
            return parts.get(0).from();
        }

        public Instant to() {
            return parts.get(parts.size() - 1).to();
        }
    }

    /** @param person who does it; empty for what runs by itself */
    public record ToldPart(String person, Instant from, Instant to) {}

    /**
     * All that is to be done in a shop, and what with.
     *
     * @param told what people go by up to now; of works that are done nothing is kept
     * @param from now; counted from the begin of its minute
     */
    public static Bench bench(ShopCrew crew, List<AtTheBench> castings, List<Told> told, Instant from, ZoneId zone) {
        Instant now = from.truncatedTo(ChronoUnit.MINUTES);
        OpenTime time = crew.time(now, DAYS, zone);
        Crew who = crew.crew();
        List<Work> works = new ArrayList<>();
        List<Order> orders = new ArrayList<>();
        List<Due> dues = new ArrayList<>();
        for (AtTheBench casting : castings) {
            RouteWorks own = RouteWorks.of(casting, who, time);
            works.addAll(own.works());
            orders.addAll(own.orders());
            dues.add(new Due(
                    casting.tag(),
                    minute(casting.promised(), time, zone),
                    minute(casting.wanted(), time, zone),
                    casting.weight()));
        }
        return new Bench(
                time,
                crew.stations(time),
                crew.people(time, zone),
                dues,
                works,
                orders,
                crew.setUps(),
                told.stream().map(t -> placed(t, time)).toList(),
                time.before(now.plus(SOON)));
    }

    /** By the end of a day. */
    private static OptionalInt minute(Optional<LocalDate> day, OpenTime time, ZoneId zone) {
        return day.isEmpty()
                ? OptionalInt.empty()
                : OptionalInt.of(
                        time.before(day.get().plusDays(1).atStartOfDay(zone).toInstant()));
    }

    private static Placed placed(Told told, OpenTime time) {
        return new Placed(
                told.work(),
                told.station(),
                told.setUp(),
                told.parts().stream()
                        .map(p -> new Placed.Part(p.person(), time.before(p.from()), time.before(p.to())))
                        .toList());
    }

    /** What it tells people. */
    public List<Told> told() {
        OpenTime time = bench.time();
        return timetable.placed().stream()
                .map(p -> new Told(
                        p.work(),
                        p.station(),
                        p.setUp(),
                        p.parts().stream()
                                .map(o -> new ToldPart(o.person(), time.beginsAt(o.from()), time.endsAt(o.to())))
                                .toList()))
                .toList();
    }

    /**
     * @param rounds how often a better one is looked for
     * @param seed the same one finds the same
     * @throws IllegalStateException where the plan is not legal, which would be a fault of whoever made it
     */
    public static DayPlan of(Bench bench, int rounds, long seed) {
        Hindrances.Cleared cleared = Hindrances.of(bench);
        ListScheduler.Made made = ListScheduler.of(cleared.bench(), rounds, seed);
        List<Breach> breaches = Checker.look(
                cleared.bench().with(placed(cleared.bench(), made.left(), made.unpinned())), made.timetable());
        if (!breaches.isEmpty()) {
            throw new IllegalStateException("a plan that is not legal: " + breaches);
        }
        return new DayPlan(cleared.bench(), made.timetable(), cleared.found(), made.left(), made.unpinned());
    }

    /** Those that have a place, and those that have another than their pin without it. */
    private static List<Work> placed(Bench bench, List<String> left, List<String> unpinned) {
        return bench.works().stream()
                .filter(w -> !left.contains(w.id()))
                .map(w -> unpinned.contains(w.id()) ? w.free() : w)
                .toList();
    }

    /**
     * What people are shown of it: each work with what holds it, and what has no place.
     *
     * @param beyond castings that it was made without
     */
    public Posted posted(int beyond) {
        Map<String, Integer> slack = Slack.of(bench, timetable);
        Map<String, Why.Link> why = Why.first(bench.with(placed(bench, left, unpinned)), timetable);
        return new Posted(
                told().stream()
                        .map(t -> new Posted.Line(
                                t,
                                why.getOrDefault(t.work(), new Why.Link(t.work(), Why.Holds.NOTHING, "")),
                                slack.getOrDefault(t.work(), Posted.FREE)))
                        .toList(),
                stands,
                left,
                late(),
                moved(),
                beyond,
                Map.of(),
                gap(),
                List.of());
    }

    /**
     * The pins that it does not keep.
     *
     * @param castings that it was made for, as crew
     */
    public List<Unkept> unkept(List<AtTheBench> castings, ShopCrew crew) {
        Crew who = crew.crew();
        List<Unkept> all = new ArrayList<>();
        for (AtTheBench casting : castings) {
            if (!casting.pins().isEmpty()) {
                RouteWorks own = RouteWorks.of(casting, who, bench.time());
                all.addAll(own.unkept());
                own.works().stream()
                        .filter(w -> unpinned.contains(w.id()))
                        .flatMap(w -> taken(w, casting).stream())
                        .forEach(all::add);
            }
        }
        return all;
    }

    private Optional<Unkept> taken(Work work, AtTheBench casting) {
        return Optional.ofNullable(casting.pins().get(RouteWorks.within(work.id())))
                .map(p -> new Unkept(Unkept.Kind.TAKEN, work.id(), p, new InTheWay(bench, timetable, work).link()));
    }

    private Posted.Gap gap() {
        Score score = Score.of(bench, timetable);
        Bounds bounds = Bounds.of(bench);
        return new Posted.Gap(score.late(), bounds.late(), score.setUp(), bounds.setUp(), false);
    }

    /**
     * The same bench by another timetable.
     *
     * @throws IllegalStateException where that is not legal
     */
    public DayPlan by(Timetable other) {
        List<Breach> breaches = Checker.look(bench.with(placed(bench, left, unpinned)), other);
        if (!breaches.isEmpty()) {
            throw new IllegalStateException("a plan that is not legal: " + breaches);
        }
        return new DayPlan(bench, other, stands, left, unpinned);
    }

    /** What a solver is asked to make better: the works that have a place, as they are planned. */
    public SolverTask task(Budget budget) {
        return new SolverTask(bench.with(placed(bench, left, unpinned)), timetable, budget);
    }

    /**
     * When each casting can be ready; none for one of which some work has no place.
     *
     * @param draws one at the least
     */
    public Map<String, Posted.Ready> ready(Chances chances, int draws) {
        OpenTime time = bench.time();
        Map<String, Placed> last = new HashMap<>();
        timetable.placed().forEach(p -> last.merge(RouteWorks.casting(p.work()), p, (a, b) -> b.to() > a.to() ? b : a));
        Set<String> never = never();
        Map<String, Posted.Ready> all = new HashMap<>();
        Promise.of(bench, timetable, chances, draws).forEach((casting, promise) -> {
            Placed end = last.get(casting);
            if (end != null && !never.contains(casting)) {
                all.put(
                        casting,
                        new Posted.Ready(
                                time.endsAt(promise.keptIn(50)),
                                time.endsAt(promise.keptIn(80)),
                                time.endsAt(promise.keptIn(95)),
                                end.work(),
                                promise.keptIn(95) >= time.length()));
            }
        });
        return all;
    }

    /** Castings of which some work has no place: nobody knows when they are done. */
    private Set<String> never() {
        return Stream.concat(stands.stream().map(Hindrance::work), left.stream())
                .map(RouteWorks::casting)
                .collect(Collectors.toSet());
    }

    /** What was told for a time to come and is elsewhere now; what was to be begun by now and was not is told in its new place only. */
    private List<Posted.Move> moved() {
        OpenTime time = bench.time();
        return Moved.of(bench, timetable).stream()
                .filter(m -> m.told().from() > 0 && m.told().from() < bench.soon())
                .map(m -> new Posted.Move(
                        m.told().work(),
                        time.beginsAt(m.told().from()),
                        time.beginsAt(m.now().from()),
                        m.why().orElse(new Why.Link(m.told().work(), Why.Holds.NOTHING, "")),
                        time.from()))
                .toList();
    }

    /** Castings that are past what was promised or asked for, with the moment at which they are done; without those that are told to have no place. */
    private Map<String, Instant> late() {
        Map<String, Instant> late = new TreeMap<>();
        Set<String> never = never();
        Map<String, Integer> ends = new HashMap<>();
        timetable.placed().forEach(p -> ends.merge(RouteWorks.casting(p.work()), p.to(), Math::max));
        for (Due due : bench.dues()) {
            int end = ends.getOrDefault(due.casting(), 0);
            if (due.late(end) > 0 && !never.contains(due.casting())) {
                late.put(due.casting(), bench.time().endsAt(end));
            }
        }
        return late;
    }
}
