package homalon.core.bench;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;

/**
 * How a day that was promised stands to what is known now.
 *
 * @param promised the day
 * @param before what comes too late for it; empty where nothing does
 */
public record PromiseCheck(State state, LocalDate promised, Optional<Awaited> before) {
    /** The worse first. */
    public enum State {
        /** The day is over. */
        OVER,
        /** What the casting waits for comes on the day, or after it. */
        BEFORE_ARRIVAL,
        /** Kept in fewer than 50 of 100 draws. */
        UNLIKELY,
        /** Kept in fewer than 80. */
        DOUBTFUL,
        /** Nothing tells when it is ready. */
        UNKNOWN,
        LIKELY;

        private final Message words = Message.of(this);

        /** They name the day, and where something comes too late what it is and when. */
        public Message words() {
            return words;
        }

        /** Whether somebody should be told of it. */
        public boolean endangered() {
            return compareTo(DOUBTFUL) <= 0;
        }
    }

    /**
     * @param waits what the casting waits for
     * @param ready when it can be ready; empty where no plan says
     */
    public static PromiseCheck of(
            LocalDate promised, List<Awaited> waits, Optional<Posted.Ready> ready, LocalDate today, ZoneId zone) {
        Optional<Awaited> after = Awaited.after(waits, promised);
        return new PromiseCheck(state(promised, after, ready, today, zone), promised, after);
    }

    private static State state(
            LocalDate promised, Optional<Awaited> after, Optional<Posted.Ready> ready, LocalDate today, ZoneId zone) {
        if (today.isAfter(promised)) {
            return State.OVER;
        }
        if (after.isPresent()) {
            return State.BEFORE_ARRIVAL;
        }
        if (ready.isEmpty()) {
            return State.UNKNOWN;
        }
        if (LocalDate.ofInstant(ready.get().half(), zone).isAfter(promised)) {
            return State.UNLIKELY;
        }
        return LocalDate.ofInstant(ready.get().most(), zone).isAfter(promised) ? State.DOUBTFUL : State.LIKELY;
    }

    public Message words() {
        return state == State.BEFORE_ARRIVAL && before.isPresent()
                ? Message.of(
                        state.words.code(),
                        promised,
                        before.get().what(),
                        before.get().until())
                : Message.of(state.words.code(), promised);
    }
}
