package homalon.core.bench;

import homalon.core.words.Message;
import java.time.Instant;
import java.util.Arrays;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/** What a plan has to say. */
public final class PlanWords {
    private PlanWords() {}

    /** {@code T-0412, cut}. */
    public static Message work(String work) {
        return Message.of(
                "bench.work",
                RouteWorks.casting(work),
                RouteWorks.operation(work).words());
    }

    /**
     * Why a work is not earlier.
     *
     * @param names of stations and people, by what the plan calls them
     */
    public static Message why(Why.Link link, UnaryOperator<String> names) {
        String code = link.holds().words().code();
        return switch (link.holds()) {
            case AFTER, BETTER_AFTER, CASTING, STATION, PERSON -> Message.of(code, work(link.by()));
            case DOWN, AWAY -> Message.of(code, names.apply(link.by()));
            case PINNED, NOT_BEFORE, CLOSING, NOW, NOTHING -> Message.of(code);
        };
    }

    /** Why a work has no place, and what would give it one. */
    public static Message stands(Hindrance hindrance, UnaryOperator<String> names) {
        String code = hindrance.kind().words().code();
        Message work = work(hindrance.work());
        return switch (hindrance.kind()) {
            case NO_STATION, NOT_AT_NIGHT -> Message.of(code, work, station(hindrance.other(), names));
            case PAST_THE_END -> Message.of(code, work, DayPlan.DAYS);
            case NOBODY, TOO_LONG, CIRCLE, AFTER_ANOTHER -> Message.of(code, work);
        };
    }

    /**
     * Why a pin is not kept, and what to do about it.
     *
     * @param moments how a moment is written
     */
    public static Message unkept(Unkept unkept, UnaryOperator<String> names, Function<Instant, String> moments) {
        String code = unkept.kind().words().code();
        Message work = work(unkept.work());
        Pin pin = unkept.pin();
        return switch (unkept.kind()) {
            case TAKEN -> Message.of(code, work, pin.at().map(moments).orElse(""), why(unkept.why(), names));
            case PASSED -> Message.of(code, work, pin.at().map(moments).orElse(""));
            case STATION -> Message.of(code, work, names.apply(pin.station().orElse("")));
            case PERSON -> Message.of(code, work, names.apply(pin.person().orElse("")));
        };
    }

    /** By what it would have to be, where the shop has none. */
    private static Message station(String id, UnaryOperator<String> names) {
        return Arrays.stream(StationKind.values())
                .filter(k -> k.name().equals(id))
                .findFirst()
                .map(StationKind::words)
                .orElseGet(() -> Message.plain(names.apply(id)));
    }

    /** How near the plan is to the best there can be, as far as that is proven; where something has no place, for the rest. */
    public static Message gap(Posted posted) {
        Message gap = gap(posted.gap());
        boolean whole = posted.stands().isEmpty() && posted.left().isEmpty();
        return whole ? gap : Message.of("bench.of-what-has-a-place", Message.small(gap));
    }

    static Message gap(Posted.Gap gap) {
        Message late = gap.late() == 0
                ? Message.of("bench.gap-nothing-late")
                : gap.leastLate() ? Message.of("bench.gap-least-late") : Message.of("bench.gap-late", gap.percent());
        Message setUp = gap.setUpAtLeast() >= gap.setUp()
                ? Message.of("bench.gap-least-set-up", gap.setUp())
                : Message.of("bench.gap-set-up", gap.setUp(), gap.setUpAtLeast());
        return Message.sentences(late, setUp);
    }

    /** Castings that are not planned yet. */
    public static Message beyond(int castings) {
        return Message.of("bench.castings-are-not-planned-yet", castings, DayPlan.CASTINGS);
    }

    /** A work for which there was no place within the days that are planned. */
    public static Message left(String work) {
        return Message.of("bench.no-place-within-days", work(work), DayPlan.DAYS);
    }
}
