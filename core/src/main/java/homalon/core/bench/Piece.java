package homalon.core.bench;

/**
 * One stretch of a work.
 *
 * @param minutes that it takes, 1 at the least: open ones, or for what runs by itself minutes of the day
 */
public record Piece(int minutes, Kind kind) {
    /** Who has to be there. */
    public enum Kind {
        /** Somebody; it may be left lying when the shop closes, and taken up again. */
        ATTENDED,
        /** Somebody, from its begin to its end: a pass is not left half way across a face. */
        WHOLE,
        /** Nobody: a soak, a dwell, a casting that is away. It goes on while the shop is closed. */
        ALONE
    }

    public Piece {
        if (minutes < 1) {
            throw new IllegalArgumentException("a piece takes " + minutes + " minutes; at the least it takes one");
        }
    }

    public boolean attended() {
        return kind != Kind.ALONE;
    }
}
