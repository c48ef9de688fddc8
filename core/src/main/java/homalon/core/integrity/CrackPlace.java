package homalon.core.integrity;

import homalon.core.part.PartKind;
import homalon.core.words.Message;
import org.jspecify.annotations.Nullable;

/** Where a crack runs. */
public enum CrackPlace {
    /** Seats, guides and their water stand in a block as well, where its valves do. */
    BETWEEN_SEATS(null),
    SEAT_TO_PLUG(PartKind.HEAD),
    SEAT_TO_WATER(null),
    SEAT_TO_BORE(PartKind.DECK),
    GUIDE_BOSS(null),
    EXHAUST_PORT(PartKind.HEAD),
    SPRING_POCKET(PartKind.HEAD),
    BETWEEN_BORES(PartKind.DECK),
    BORE_WALL(PartKind.DECK),
    MAIN_WEB(PartKind.DECK),
    BOLT_HOLE(null),
    FACE(null);

    private final Message words = Message.of(this);
    private final @Nullable PartKind only;

    CrackPlace(@Nullable PartKind only) {
        this.only = only;
    }

    public Message words() {
        return words;
    }

    /** Whether such a casting has that place. */
    public boolean on(PartKind kind) {
        return only == null || only == kind;
    }

    /** Whether a cut of the face goes over it. */
    public boolean inFace() {
        return this == BETWEEN_SEATS
                || this == SEAT_TO_PLUG
                || this == SEAT_TO_WATER
                || this == SEAT_TO_BORE
                || this == BETWEEN_BORES
                || this == BOLT_HOLE
                || this == FACE;
    }
}
