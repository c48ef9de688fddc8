package homalon.core.visit;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * How long visits waited, and for whom. What lies in the same time for two causes counts for both, and once in the whole.
 *
 * @param here time in the shop
 * @param by of that, waiting, by cause; none where it did not
 * @param any of that, waiting for whatever
 */
public record Waited(Duration here, Map<StuckOn, Duration> by, Duration any) {
    public static final Waited NONE = new Waited(Duration.ZERO, Map.of(), Duration.ZERO);

    public Waited {
        by = Map.copyOf(by);
    }

    /**
     * A time in which a visit waited.
     *
     * @param to not before from
     */
    public record Span(StuckOn on, Instant from, Instant to) {}

    /**
     * @param spans in any order, also longer than the visit
     * @param came when the visit began
     * @param left when it was over, or now
     */
    public static Waited of(List<Span> spans, Instant came, Instant left) {
        Map<StuckOn, Duration> by = new EnumMap<>(StuckOn.class);
        for (StuckOn on : StuckOn.values()) {
            Duration sum = union(spans.stream().filter(s -> s.on() == on).toList(), came, left);
            if (!sum.isZero()) {
                by.put(on, sum);
            }
        }
        Duration here = left.isAfter(came) ? Duration.between(came, left) : Duration.ZERO;
        return new Waited(here, by, union(spans, came, left));
    }

    /** Of several visits together. */
    public Waited plus(Waited other) {
        Map<StuckOn, Duration> sum = new EnumMap<>(StuckOn.class);
        sum.putAll(by);
        other.by.forEach((on, d) -> sum.merge(on, d, Duration::plus));
        return new Waited(here.plus(other.here), sum, any.plus(other.any));
    }

    /** Of each of so many visits in the mean. */
    public Waited over(int visits) {
        Map<StuckOn, Duration> mean = new EnumMap<>(StuckOn.class);
        by.forEach((on, d) -> mean.put(on, d.dividedBy(visits)));
        return new Waited(here.dividedBy(visits), mean, any.dividedBy(visits));
    }

    private static Duration union(List<Span> spans, Instant came, Instant left) {
        List<Span> sorted = new ArrayList<>(spans);
        sorted.sort(Comparator.comparing(Span::from));
        Duration sum = Duration.ZERO;
        Instant to = came;
        for (Span span : sorted) {
            Instant from = span.from().isAfter(to) ? span.from() : to;
            Instant end = span.to().isBefore(left) ? span.to() : left;
            if (end.isAfter(from)) {
                sum = sum.plus(Duration.between(from, end));
                to = end;
            }
        }
        return sum;
    }
}
