package homalon.core.bench;

import homalon.core.words.Message;

/**
 * A pin that a plan does not keep.
 *
 * @param pin as it was said
 * @param why what stands against it; {@link Why.Holds#NOTHING} where its kind says all
 */
public record Unkept(Kind kind, String work, Pin pin, Why.Link why) {
    /** In what way. */
    public enum Kind {
        /** Something else is there at that minute. */
        TAKEN,
        /** Its minute is over, and nobody began. */
        PASSED,
        /** It is not done on that station, or there is none such any more. */
        STATION,
        /** That person does not do it. */
        PERSON;

        private final Message words = Message.of(this);

        /** Its sentence, of whatever {@link PlanWords} puts into it. */
        public Message words() {
            return words;
        }
    }

    static Unkept of(Kind kind, String work, Pin pin) {
        return new Unkept(kind, work, pin, new Why.Link(work, Why.Holds.NOTHING, ""));
    }
}
