package homalon.core.bench;

import homalon.core.words.Message;

/**
 * Why a work has no place.
 *
 * @param work which
 * @param other what stands against it; empty for nothing that has a name
 */
public record Hindrance(Kind kind, String work, String other) {
    /** In what way. */
    public enum Kind {
        /** None of the stations that it can be done on is ever up. */
        NO_STATION,
        /** Nobody who does it is ever there. */
        NOBODY,
        /** A piece that is not left lying is longer than the shop is open at a stretch. */
        TOO_LONG,
        /** What runs by itself and not at night runs longer than the shop is open on any day. */
        NOT_AT_NIGHT,
        /** It would have to come before itself. */
        CIRCLE,
        /** It cannot begin before the end of the time that is looked at. */
        PAST_THE_END,
        /** What must come before it has no place. */
        AFTER_ANOTHER;

        private final Message words = Message.of(this);

        /** Its sentence, of whatever {@link PlanWords} puts into it. */
        public Message words() {
            return words;
        }
    }
}
