package homalon.core.bench;

import homalon.core.bench.Numbered.Neighbour;
import homalon.core.bench.Rules.Rule;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;

/**
 * Makes timetables by a list: of all works that can go on now the most pressing goes where it can begin first (serial generation, Kolisch
 * 1996), with what is pinned in its place before all else. Done once by the rule, then with rules drawn about it, then with the best of
 * these changed a little as long as there is time, what is better or as good kept: a first answer at once, and one to go by where no better solver runs.
 */
public final class ListScheduler {
    /** Works of one programme wait for each other so long at the most, minutes. */
    static final int LOADED_WITHIN = 60;
    /** Where nothing is due, a casting presses as if it were due so late, minutes. */
    private static final int ANY_TIME = 20_000;
    /** What is to come before something pinned goes before all else. */
    private static final double BEFORE_A_PIN = 1000;

    /** Rules that are drawn before the best of them is changed a little, again and again. */
    private static final int AT_RANDOM = 16;

    /**
     * What came of it.
     *
     * @param left works for which there was no place before the end of the time
     * @param unpinned works that could not be where they were pinned
     */
    public record Made(Timetable timetable, List<String> left, List<String> unpinned) {
        private boolean better(Made other, Bench bench) {
            int fewer = Integer.compare(left.size(), other.left.size());
            fewer = fewer != 0 ? fewer : Integer.compare(unpinned.size(), other.unpinned.size());
            fewer = fewer != 0 ? fewer : Score.of(bench, timetable).compareTo(Score.of(bench, other.timetable));
            return fewer < 0;
        }
    }

    private final Numbered bench;
    /** Better orders that close no circle, and all that must be. */
    private final List<List<Neighbour>> before = new ArrayList<>();

    private final List<List<Neighbour>> after = new ArrayList<>();
    private final Pressing[] presses;
    private final AsTold told;

    private ListScheduler(Bench of) {
        this.bench = new Numbered(of);
        for (int w = 0; w < bench.works(); w++) {
            before.add(new ArrayList<>());
            after.add(new ArrayList<>());
        }
        orders(true);
        orders(false);
        this.told = new AsTold(of, bench);
        this.presses = new Pressing[bench.works()];
        Arrays.setAll(presses, this::presses);
    }

    /**
     * @param bench whose orders that must be kept run in no circle ({@link Hindrances} clears it of those)
     * @param rounds how often it is tried with the rule disturbed
     */
    public static Made of(Bench bench, int rounds, long seed) {
        if (bench.works().isEmpty()) {
            return new Made(new Timetable(List.of()), List.of(), List.of());
        }
        ListScheduler scheduler = new ListScheduler(bench);
        Rules rules = new Rules(scheduler.bench, seed);
        Rule rule = rules.usual(false);
        Made best = scheduler.pass(rule);
        for (int i = 0; i < rounds; i++) {
            Rule tried = i == 0 ? rules.usual(true) : i < AT_RANDOM ? rules.drawn(i) : rules.near(rule);
            Made made = scheduler.pass(tried);
            if (!best.better(made, bench)) {
                best = made;
                rule = tried;
            }
        }
        return best;
    }

    private void orders(boolean must) {
        for (int w = 0; w < bench.works(); w++) {
            for (Neighbour n : bench.before(w)) {
                if (n.must() == must && (must || !follows(n.work(), w))) {
                    before.get(w).add(n);
                    after.get(n.work()).add(new Neighbour(w, must));
                }
            }
        }
    }

    /** Whether the one comes after the other already. */
    private boolean follows(int one, int other) {
        return later(other).get(one);
    }

    /** A work and all that comes after it. */
    private BitSet later(int work) {
        BitSet all = new BitSet();
        gather(work, all);
        return all;
    }

    private void gather(int work, BitSet all) {
        if (!all.get(work)) {
            all.set(work);
            after.get(work).forEach(n -> gather(n.work(), all));
        }
    }

    /**
     * How a work presses: apparent tardiness cost with set-ups (Lee, Bhaskaran, Pinedo 1997), logarithm.
     *
     * @param weight of its casting by what is left to do, logarithm
     * @param latest minute at which it can begin for its casting to be done in time
     */
    private record Pressing(double weight, int latest) {
        double at(int now, Place place, Rule rule) {
            return weight - Math.max(0, latest - now) / rule.room() - place.setUp() / rule.setUp();
        }
    }

    private Pressing presses(int work) {
        Due due = bench.due(bench.casting(work));
        BitSet later = later(work);
        int takes = later.stream().map(w -> bench.work(w).minutes()).sum();
        double weight = Math.log(due.weight() * (due.promised().isPresent() ? Due.PROMISE : 1)) - Math.log(takes);
        for (int other = later.nextSetBit(0); other >= 0; other = later.nextSetBit(other + 1)) {
            if (other != work && bench.work(other).at().isPresent()) {
                return new Pressing(BEFORE_A_PIN + weight, 0);
            }
        }
        OptionalInt by = due.promised().isPresent() ? due.promised() : due.wanted();
        return new Pressing(weight, by.orElse(ANY_TIME) - takes);
    }

    /** Tries until every pin that is left can be kept. */
    private Made pass(Rule rule) {
        BitSet unpinned = new BitSet();
        while (true) {
            int known = unpinned.cardinality();
            Made made = new Pass(rule, unpinned).run();
            if (unpinned.cardinality() == known) {
                return made;
            }
        }
    }

    private final class Pass {
        private final Rule rule;
        private final BitSet unpinned;
        private final Passage passage = new Passage(bench);
        private final BitSet open = new BitSet();
        private final int[] waits = new int[bench.works()];
        private final @Nullable Place[] options = new Place[bench.works()];
        /** Orders before each work that are kept in this passage. */
        private final List<List<Neighbour>> kept = new ArrayList<>();

        private final List<List<Integer>> next = new ArrayList<>();

        Pass(Rule rule, BitSet unpinned) {
            this.rule = rule;
            this.unpinned = unpinned;
            for (int w = 0; w < bench.works(); w++) {
                next.add(new ArrayList<>());
            }
            for (int w = 0; w < bench.works(); w++) {
                int work = w;
                List<Neighbour> own = before.get(w).stream()
                        .filter(n -> n.must() || !rule.dropped().get(work))
                        .toList();
                own.forEach(n -> next.get(n.work()).add(work));
                kept.add(own);
                waits[w] = own.size();
            }
        }

        Made run() {
            pin();
            if (rule.stay()) {
                keepTold();
            }
            for (int w = 0; w < bench.works(); w++) {
                ready(w);
            }
            while (!open.isEmpty()) {
                int one = next();
                Place option = one < 0 ? null : options[one];
                if (option != null) {
                    place(one, option);
                }
            }
            pinsThatCameFirst();
            return new Made(
                    passage.timetable(),
                    names(IntStream.range(0, bench.works()).filter(w -> !passage.holds(w))),
                    names(unpinned.stream()));
        }

        private List<String> names(IntStream works) {
            return works.mapToObj(w -> bench.work(w).id()).toList();
        }

        /** What is pinned, each in its place if it can be there. */
        private void pin() {
            List<Integer> pins = IntStream.range(0, bench.works())
                    .filter(w -> bench.work(w).at().isPresent() && !unpinned.get(w))
                    .boxed()
                    .sorted(Comparator.comparingInt(w -> bench.work(w).at().orElseThrow()))
                    .toList();
            Pinned pinned = new Pinned(bench, passage);
            for (int work : pins) {
                if (!passage.holds(work)) {
                    List<Place> places = pinned.places(work, pins);
                    places.forEach(passage::pin);
                    places.forEach(p -> next.get(p.work()).forEach(n -> waits[n]--));
                    unpinned.set(work, places.isEmpty());
                }
            }
        }

        /** What was told goes first where it was, each after what comes before it. */
        private void keepTold() {
            for (List<Integer> group : told.groups()) {
                int earliest = group.stream().mapToInt(this::earliest).max().orElse(0);
                if (group.stream().noneMatch(passage::holds) && told.after(group.get(0), earliest)) {
                    told.exactly(passage, group, earliest)
                            .or(() -> told.loaded(group.get(0))
                                    ? told.together(passage, group, earliest)
                                    : told.place(passage, group.get(0), earliest)
                                            .map(List::of))
                            .ifPresent(this::put);
                }
            }
        }

        private int earliest(int work) {
            int latest = 0;
            for (Neighbour n : kept.get(work)) {
                latest = Math.max(latest, passage.endOf(n.work()));
            }
            return latest;
        }

        /** A pin that something which must come before it cannot keep is none. */
        private void pinsThatCameFirst() {
            for (int w = 0; w < bench.works(); w++) {
                OptionalInt at = bench.work(w).at();
                if (at.isPresent()
                        && !unpinned.get(w)
                        && before.get(w).stream().anyMatch(n -> n.must() && passage.endOf(n.work()) > at.getAsInt())) {
                    unpinned.set(w);
                }
            }
        }

        private void ready(int work) {
            if (waits[work] == 0 && !passage.holds(work)) {
                open.set(work);
            }
        }

        /** Of what can go on, what presses most among those that begin about as soon as any; -1 for none. */
        private int next() {
            int first = Integer.MAX_VALUE;
            for (int w = open.nextSetBit(0); w >= 0; w = open.nextSetBit(w + 1)) {
                Place option = option(w);
                if (option == null) {
                    open.clear(w);
                } else {
                    first = Math.min(first, option.starts());
                }
            }
            int best = -1;
            double most = Double.NEGATIVE_INFINITY;
            for (int w = open.nextSetBit(0); w >= 0; w = open.nextSetBit(w + 1)) {
                Place option = option(w);
                if (option != null && option.starts() <= first + rule.window()) {
                    double press = presses[w].at(first, option, rule) + rule.more()[w];
                    if (press > most) {
                        best = w;
                        most = press;
                    }
                }
            }
            return best;
        }

        /** The first place that it can go in; null for none. */
        private @Nullable Place option(int work) {
            Place known = options[work];
            if (known != null) {
                return known;
            }
            int earliest = earliest(work);
            Place found = rule.stay() ? told.place(passage, work, earliest).orElse(null) : null;
            if (found == null) {
                found = passage.first(work, earliest, bench.stations(work), bench.people(work))
                        .orElse(null);
            }
            options[work] = found;
            return found;
        }

        private void place(int work, Place option) {
            put(passage.room(option.station()) > 1 ? grown(work, option) : List.of(option));
        }

        private void put(List<Place> group) {
            for (Place one : group) {
                passage.put(one, one.setUp());
                open.clear(one.work());
                next.get(one.work()).forEach(n -> waits[n]--);
            }
            for (Place one : group) {
                next.get(one.work()).forEach(this::ready);
                forget(one);
            }
        }

        /** Places of others in which something is taken now. */
        private void forget(Place taken) {
            for (int w = 0; w < options.length; w++) {
                Place option = options[w];
                if (option != null && meet(option, taken)) {
                    options[w] = null;
                }
            }
        }

        private boolean meet(Place a, Place b) {
            return (a.station() >= 0 && a.station() == b.station())
                    || bench.casting(a.work()) == bench.casting(b.work())
                    || shares(a.who(), b.who());
        }

        /** Somebody is in both; without streams, as this is asked for every pair. */
        private static boolean shares(int[] some, int[] others) {
            for (int one : some) {
                for (int other : others) {
                    if (one >= 0 && one == other) {
                        return true;
                    }
                }
            }
            return false;
        }

        /** With others of one programme that can be loaded about then. */
        private List<Place> grown(int first, Place option) {
            List<Integer> some = List.of(first);
            List<Place> best = List.of(option);
            List<Integer> mates = open.stream()
                    .filter(w -> w != first && bench.setUp(w) == bench.setUp(first))
                    .filter(w -> bench.casting(w) != bench.casting(first))
                    .filter(w -> has(bench.stations(w), option.station()) && has(bench.people(w), option.who()[0]))
                    .boxed()
                    .sorted(Comparator.comparingDouble(
                            w -> -presses[w].at(option.starts(), option, rule) - rule.more()[w]))
                    .toList();
            for (int mate : mates) {
                Place own = option(mate);
                if (own != null
                        && some.size() < passage.room(option.station())
                        && own.starts() <= option.starts() + LOADED_WITHIN) {
                    List<Integer> more = new ArrayList<>(some);
                    more.add(mate);
                    int at = Math.max(best.get(0).starts(), own.starts());
                    Optional<List<Place>> grown = passage.together(more, at, option.station(), option.who()[0]);
                    some = grown.isPresent() ? more : some;
                    best = grown.orElse(best);
                }
            }
            return best;
        }

        private static boolean has(int[] some, int one) {
            return Arrays.stream(some).anyMatch(s -> s == one);
        }
    }
}
