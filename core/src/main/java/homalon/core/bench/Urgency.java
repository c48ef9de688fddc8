package homalon.core.bench;

import homalon.core.visit.Owed;
import java.time.LocalDate;
import java.util.Optional;

/** Why somebody should ring a customer, the most pressing first. */
public enum Urgency {
    PROMISE_OVER,
    PROMISE_BEFORE_ARRIVAL,
    PROMISE_UNLIKELY,
    PROMISE_DOUBTFUL,
    /** What was said for a day did not come on it. */
    OWED_PAST_ITS_DAY,
    ANSWER_OWED,
    OWED,
    TO_FETCH;

    /** Empty where the promise may well be kept, or nothing tells. */
    public static Optional<Urgency> of(PromiseCheck.State state) {
        return switch (state) {
            case OVER -> Optional.of(PROMISE_OVER);
            case BEFORE_ARRIVAL -> Optional.of(PROMISE_BEFORE_ARRIVAL);
            case UNLIKELY -> Optional.of(PROMISE_UNLIKELY);
            case DOUBTFUL -> Optional.of(PROMISE_DOUBTFUL);
            case UNKNOWN, LIKELY -> Optional.empty();
        };
    }

    /** @param expected the day for which it was said */
    public static Urgency of(Owed what, Optional<LocalDate> expected, LocalDate today) {
        if (expected.filter(e -> e.isBefore(today)).isPresent()) {
            return OWED_PAST_ITS_DAY;
        }
        return what == Owed.ANSWER ? ANSWER_OWED : OWED;
    }
}
