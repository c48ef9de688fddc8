package homalon.core.cut;

import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.List;
import java.util.Optional;

/**
 * One thing that a cut brings with it elsewhere.
 *
 * @param tone how much it matters
 * @param says what it comes to
 * @param advice what to do about it; empty for nothing
 * @param report a ready sentence for whoever puts the engine together; empty where there is nothing to say
 * @param figures those that its drawing shows, one or two, in mm or degrees; none while they are not known
 */
public record Consequence(
        Kind kind,
        Tone tone,
        Message says,
        Message advice,
        Optional<Message> report,
        List<Double> figures,
        Working working) {
    public Consequence {
        figures = List.copyOf(figures);
    }

    /** What is touched. */
    public enum Kind {
        CAM,
        INTAKE,
        EXHAUST,
        MANIFOLD,
        PUSHROD,
        ROOM,
        RECESSION,
        SQUEEZE,
        BOLTS,
        PROUD;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** How much it matters. */
    public enum Tone {
        /** Inside what is allowed. */
        FINE,
        /** To be looked after when it is put together. */
        LOOK,
        /** Over a limit. */
        OVER,
        /** Something has to be measured or keyed first. */
        NOT_KNOWN
    }
}
