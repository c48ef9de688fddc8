package homalon.core.bench;

import homalon.core.route.Operation;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * How long somebody is at an operation in this shop: said by hand, else as the shop took for the last castings of that size; else nothing is
 * known of it and the general value stands.
 *
 * @param said minutes in hands
 * @param learned out of what was written
 */
public record ShopTimes(Map<Of, Integer> said, Map<Of, Learned> learned) {
    public static final ShopTimes NONE = new ShopTimes(Map.of(), Map.of());

    /** Nobody is at something for so long without writing about it: what lies between was something else. */
    private static final Duration STILL = Duration.ofMinutes(15);
    /** What took less was not done by hand: figures were brought in at once. */
    private static final Duration LEAST = Duration.ofMinutes(1);
    /** So many castings back. */
    private static final int LAST = 20;
    /** From fewer nothing is learned. */
    public static final int ENOUGH = 5;

    public ShopTimes {
        said = Map.copyOf(said);
        learned = Map.copyOf(learned);
    }

    /** Work of one kind at castings of one size. */
    public record Of(Operation operation, int cylinders) {}

    /**
     * Something that was written about a casting.
     *
     * @param casting its visit
     * @param cylinders of it
     */
    public record Seen(String casting, int cylinders, Operation operation, String person, Instant at) {
        OnIt work() {
            return new OnIt(casting, new Of(operation, cylinders));
        }
    }

    /**
     * What the shop took.
     *
     * @param minutes the median, in hands
     * @param least of those
     * @param most of those
     * @param castings that it is from
     */
    public record Learned(int minutes, int least, int most, int castings) {}

    /** Where a time comes from. */
    public enum Source {
        SAID,
        LEARNED,
        GENERAL
    }

    /** Work of one kind at one casting. */
    public record OnIt(String casting, Of of) {}

    /**
     * How long somebody was at each work. Between one line and the next of the same person about the same work somebody was at it, as long as no
     * more than a quarter of an hour lies between and nothing else was written. What was written only once tells no time and is not there.
     *
     * @param seen in any order
     */
    public static Map<OnIt, Duration> took(List<Seen> seen) {
        Map<OnIt, Duration> took = new HashMap<>();
        Map<String, Seen> last = new HashMap<>();
        for (Seen now : seen.stream().sorted(Comparator.comparing(Seen::at)).toList()) {
            Optional<Seen> before = Optional.ofNullable(last.put(now.person(), now));
            before.filter(b -> b.casting().equals(now.casting()) && b.operation() == now.operation())
                    .map(b -> Duration.between(b.at(), now.at()))
                    .filter(d -> d.compareTo(STILL) <= 0)
                    .ifPresent(d -> took.merge(now.work(), d, Duration::plus));
        }
        took.values().removeIf(d -> d.compareTo(LEAST) < 0);
        return took;
    }

    /**
     * What a shop took for castings of each size.
     *
     * @param seen in any order
     */
    public static Map<Of, Learned> learned(List<Seen> seen) {
        Map<OnIt, Duration> took = took(seen);
        Map<OnIt, Instant> ended = new HashMap<>();
        seen.forEach(s -> ended.merge(s.work(), s.at(), (a, b) -> b.isAfter(a) ? b : a));
        Map<Of, List<OnIt>> by = took.keySet().stream().collect(Collectors.groupingBy(OnIt::of));
        Map<Of, Learned> learned = new HashMap<>();
        by.forEach((of, works) -> {
            List<Integer> minutes = works.stream()
                    .sorted(Comparator.comparing((OnIt w) -> ended.getOrDefault(w, Instant.EPOCH))
                            .reversed())
                    .limit(LAST)
                    .map(w ->
                            (int) Math.round(took.getOrDefault(w, Duration.ZERO).toSeconds() / 60.0))
                    .sorted()
                    .toList();
            if (minutes.size() >= ENOUGH) {
                learned.put(
                        of,
                        new Learned(median(minutes), minutes.get(0), minutes.get(minutes.size() - 1), minutes.size()));
            }
        });
        return learned;
    }

    private static int median(List<Integer> sorted) {
        int middle = sorted.size() / 2;
        return sorted.size() % 2 == 1
                ? sorted.get(middle)
                : Math.round((sorted.get(middle - 1) + sorted.get(middle)) / 2f);
    }

    public Source source(Of of) {
        return said.containsKey(of) ? Source.SAID : learned.containsKey(of) ? Source.LEARNED : Source.GENERAL;
    }

    /** Minutes in hands; empty where the general value stands. */
    public OptionalInt hands(Of of) {
        Optional<Integer> own = Optional.ofNullable(said.get(of))
                .or(() -> Optional.ofNullable(learned.get(of)).map(Learned::minutes));
        return own.isPresent() ? OptionalInt.of(own.get()) : OptionalInt.empty();
    }

    /** The same for the same times, whatever order they were found in. */
    public String written() {
        return Stream.concat(said.keySet().stream(), learned.keySet().stream())
                .distinct()
                .map(o -> o + "=" + hands(o).orElse(0))
                .sorted()
                .collect(Collectors.joining(";"));
    }

    /** Sizes of a casting with what the shop itself needs. */
    public Function<Operation, JobSize> on(Function<Operation, JobSize> sizes) {
        return operation -> {
            JobSize size = sizes.apply(operation);
            return size.in(hands(new Of(operation, size.cylinders())));
        };
    }
}
