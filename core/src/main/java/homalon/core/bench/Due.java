package homalon.core.bench;

import java.util.OptionalInt;

/**
 * When a casting has to be done.
 *
 * @param promised to its customer: open minutes by which its last work is to be over; empty without a promise
 * @param wanted the same for the day that was asked for
 * @param weight how much a minute of being late counts, 1 at the least
 */
public record Due(String casting, OptionalInt promised, OptionalInt wanted, int weight) {
    /** A minute past a promise counts as much as this many past a day that was only asked for. */
    public static final int PROMISE = 20;

    /** Never. */
    static final Due NEVER = new Due("", OptionalInt.empty(), OptionalInt.empty(), 1);

    /** What it counts to be done so late. */
    public long late(int end) {
        return (long) weight * (PROMISE * past(promised, end) + past(wanted, end));
    }

    /** Open minutes past the promise. */
    public long pastPromise(int end) {
        return past(promised, end);
    }

    private static long past(OptionalInt due, int end) {
        return due.isPresent() ? Math.max(0, end - due.getAsInt()) : 0;
    }
}
