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
 * @param found whether what was found is good: a step may be done, and what it found be out
 */
public record Step(StepKind kind, Mark mark, Message note, Message todo, Message detail, Found found) {
    /** What is done is good, and what is not done says nothing yet. */
    Step(StepKind kind, Mark mark, Message note, Message todo, Message detail) {
        this(kind, mark, note, todo, detail, mark == Mark.DONE ? Found.GOOD : Found.NOT_JUDGED);
    }

    /** What a step that is done, or begun, came to. */
    public enum Found {
        GOOD,
        /** Left out, or never measured: no tick stands for it. */
        NOT_JUDGED,
        OUT
    }

    /** State of a step. */
    public enum Mark {
        /** Borne out by what was measured, or signed by somebody. */
        DONE,
        BEGUN,
        DUE,
        WAITS
    }

    static Step done(StepKind kind, Message note) {
        return done(kind, note, Found.GOOD);
    }

    static Step done(StepKind kind, Message note, Found found) {
        return new Step(kind, Mark.DONE, note, Message.NONE, Message.NONE, found);
    }

    /** The same, measured with an instrument that is not to be relied on. */
    Step doubted() {
        return note.isEmpty()
                ? this
                : new Step(kind, mark, Message.of("route.with-an-instrument-in-doubt", note), todo, detail, found);
    }

    Step found(Found what) {
        return new Step(kind, mark, note, todo, detail, what);
    }
}
