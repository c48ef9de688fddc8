package homalon.core.route;

import homalon.core.words.Message;

/** What was found on a casting, or is known of it, that decides what has to be done. */
public enum Finding {
    CRACK_TO_STITCH,
    CRACK_BETWEEN_SEATS,
    CRACK_TO_WELD,
    WALL_TO_SLEEVE,
    WALL_SUSPECT,
    VALVES_ASKED,
    GUIDES_WORN,
    AXIS_MOVED,
    SEATS_BAD,
    SEAT_TO_INSERT,
    CHAMBERS_ASKED,
    REPAIR_IN_FACE,
    FACE_OUT,
    MAY_BE_BENT,
    PICKED_UP,
    NOT_TRUSTED,
    DROPPED,
    STOOD_WET,
    LINES_ASKED,
    TURNS_STIFF,
    LINE_BENT,
    LINE_TIGHT,
    HAS_LINERS,
    LINERS_UNEVEN,
    DECK_ASKEW,
    DECK_ASKED,
    CHOICE_ASKED,
    SUM_PASSED,
    LOOK_DONE,
    METAL_ENDS,
    PROMISE_BROKEN;

    private final Message words = Message.of(this);

    public Message words() {
        return words;
    }
}
