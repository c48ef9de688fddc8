package homalon.core.route;

import homalon.core.words.Message;

/**
 * Where a step of a visit stands.
 *
 * @param kind which
 * @param mark its state
 * @param note a few words for the strip: {@code 9 of 15 keyed}
 * @param todo what to do at the bench, as a command: {@code Finish the face}
 * @param detail one line more about it
 */
public record Step(StepKind kind, Mark mark, Message note, Message todo, Message detail) {

    /** State of a step. */
    public enum Mark {
        /** Borne out by what was measured, or signed by somebody. */
        DONE,
        BEGUN,
        DUE,
        WAITS
    }

    static Step done(StepKind kind, Message note) {
        return new Step(kind, Mark.DONE, note, Message.NONE, Message.NONE);
    }
}
