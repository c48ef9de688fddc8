package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * What is open in every shop: how far work goes from what it usually takes, how often what was promised comes late, and what a check finds
 * that makes more work. General values, shown as such; what a check finds also by what it found in castings that left, the more of them the
 * more.
 */
public final class UsualChances {
    /** The standard deviation of the logarithm of what a work takes. */
    private static final double SPREAD = 0.3;
    /** One arrival in four comes late, by two days in the mean. */
    private static final double LATE = 0.25;

    private static final double DAYS_LATE = 2;
    /** A check finds something in so many of a hundred castings, and mending it takes so long. */
    private static final Map<Operation, Found> FOUND = Map.of(
            Operation.CRACK_CHECK, new Found(0.15, 120, 0, Set.of(Operation.STITCH, Operation.WELD, Operation.INSERT)),
            Operation.PRESSURE_TEST, new Found(0.10, 90, 0, Set.of()),
            Operation.VALVE_CHECK, new Found(0.40, 30, 14, Set.of(Operation.GUIDE_WORK, Operation.SEAT_WORK)),
            Operation.FACE_CHECK, new Found(0.60, 60, 0, Set.of(Operation.CUT, Operation.CUT_PLAN)),
            Operation.PROOF, new Found(0.10, 45, 0, Set.of()));

    /** The general value counts as much as so many castings. */
    private static final double AS_MANY = 20;

    private UsualChances() {}

    /** A check of castings of one metal. */
    public record Check(Operation operation, Material metal) {}

    /**
     * What came of a check.
     *
     * @param looked castings at which it was done
     * @param found those of them in whose route it made more work
     */
    public record Counted(int looked, int found) {
        private Counted and(Counted other) {
            return new Counted(looked + other.looked, found + other.found);
        }
    }

    /** A casting that left, with all that was done to it. */
    public record Left(Material metal, Route route) {}

    /** What checks found in castings that left; those whose finding makes no work of its own are not counted. */
    public static Map<Check, Counted> counted(List<Left> left) {
        Map<Check, Counted> all = new HashMap<>();
        for (Left one : left) {
            Set<Operation> known = EnumSet.noneOf(Operation.class);
            one.route().steps().forEach(s -> known.add(s.operation()));
            FOUND.forEach((operation, found) -> {
                if (!found.already().isEmpty() && one.route().wasDone(operation)) {
                    boolean more = found.already().stream().anyMatch(known::contains);
                    all.merge(new Check(operation, one.metal()), new Counted(1, more ? 1 : 0), Counted::and);
                }
            });
        }
        return all;
    }

    /**
     * What a check may find.
     *
     * @param minutes of work that follows
     * @param valve more for each valve
     * @param already work that shows that it was found: then it is planned and does not come again
     */
    private record Found(double chance, int minutes, int valve, Set<Operation> already) {
        /** The same, with a chance that leans on what was counted (a beta distribution, of which the general value is the prior). */
        Found by(Counted own) {
            return new Found((AS_MANY * chance + own.found()) / (AS_MANY + own.looked()), minutes, valve, already);
        }
    }

    /**
     * @param bench that was made of those castings
     * @param castings in the shop
     * @param own what its checks found
     */
    public static Chances of(Bench bench, List<AtTheBench> castings, Map<Check, Counted> own) {
        OpenTime time = bench.time();
        double day = time.length() / (double) DayPlan.DAYS;
        Set<String> works = bench.works().stream().map(Work::id).collect(Collectors.toSet());
        List<Chances.Turn> turns = new ArrayList<>();
        List<Chances.Arrival> arrivals = new ArrayList<>();
        for (AtTheBench casting : castings) {
            Set<Operation> open = EnumSet.noneOf(Operation.class);
            casting.route().openSteps().forEach(s -> open.add(s.operation()));
            for (MayFind may : mayFind(casting.metal(), casting.route(), casting.size(), own)) {
                String work = casting.tag() + "/" + may.check().name();
                if (works.contains(work)) {
                    turns.add(new Chances.Turn(work, may.chance(), may.minutes()));
                }
            }
            for (Operation operation : open) {
                String work = casting.tag() + "/" + operation.name();
                if (works.contains(work) && awaited(casting, operation, time)) {
                    arrivals.add(new Chances.Arrival(work, 0, (int) Math.round(DAYS_LATE * day), LATE));
                }
            }
        }
        return new Chances(SPREAD, turns, arrivals);
    }

    /**
     * What a check that is still to be done may find.
     *
     * @param own castings by which the chance leans away from the general one
     * @param minutes of work that follows, in hands
     */
    public record MayFind(Operation check, double chance, Counted own, int minutes) {}

    /**
     * @param size how much there is to do
     * @param own what checks found in castings that left
     * @return in the order in which they are done
     */
    public static List<MayFind> mayFind(
            Material metal, Route route, Function<Operation, JobSize> size, Map<Check, Counted> own) {
        List<Operation> open =
                route.openSteps().stream().map(Route.Step::operation).distinct().toList();
        List<MayFind> all = new ArrayList<>();
        for (Operation check : open) {
            Found general = FOUND.get(check);
            if (general != null && general.already().stream().noneMatch(open::contains)) {
                Counted counted = own.getOrDefault(new Check(check, metal), new Counted(0, 0));
                int minutes =
                        general.minutes() + general.valve() * size.apply(check).valves();
                all.add(new MayFind(check, general.by(counted).chance(), counted, minutes));
            }
        }
        return all;
    }

    private static boolean awaited(AtTheBench casting, Operation operation, OpenTime time) {
        Optional<Instant> until = casting.waits().of(operation);
        return until.filter(u -> u.isAfter(time.from().plus(Duration.ofMinutes(1))))
                .isPresent();
    }
}
