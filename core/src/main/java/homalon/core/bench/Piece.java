package homalon.core.bench;

import homalon.core.hours.OpenTime;

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
        /** Nobody: a soak, a casting that is away. It goes on while the shop is closed. */
        ALONE,
        /** Nobody, but not at night: it is over before the shop closes for one. Through a dinner it goes on. */
        BY_DAY
    }

    public Piece {
        if (minutes < 1) {
            throw new IllegalArgumentException("a piece takes " + minutes + " minutes; at the least it takes one");
        }
    }

    public boolean attended() {
        return kind == Kind.ATTENDED || kind == Kind.WHOLE;
    }

    /** The same, of another kind. */
    Piece as(Kind other) {
        return new Piece(minutes, other);
    }

    /** Where it is over on the open time that begins there. */
    public int over(int from, OpenTime time) {
        return switch (kind) {
            case ATTENDED, WHOLE -> from + minutes;
            case ALONE -> time.alone(from, minutes);
            case BY_DAY -> time.byDay(from, minutes);
        };
    }
}
