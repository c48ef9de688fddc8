package homalon.core.route;

/** What was found on a casting, or is known of it, that decides what has to be done. */
public enum Finding {
    CRACK_TO_STITCH("a crack to stitch"),
    CRACK_BETWEEN_SEATS("a crack that reaches water at the seats"),
    CRACK_TO_WELD("a crack to weld"),
    WALL_TO_SLEEVE("a bore wall to sleeve"),
    WALL_SUSPECT("a wall next to water that may be cracked on its hidden side"),
    VALVES_ASKED("its valves are to be done"),
    GUIDES_WORN("guides to mend"),
    AXIS_MOVED("a guide that was bored, lined or replaced"),
    SEATS_BAD("seats to make"),
    SEAT_TO_INSERT("a seat that needs an insert"),
    CHAMBERS_ASKED("chambers and compression are asked for"),
    REPAIR_IN_FACE("a repaired place in the face"),
    FACE_OUT("face out of its limit"),
    MAY_BE_BENT("it was hot, and it carries a shaft"),
    PICKED_UP("it seized, or metal was found, or its shafts picked up"),
    NOT_TRUSTED("it was bought unmeasured, or others worked on it"),
    DROPPED("a valve or a seat dropped in it"),
    STOOD_WET("it stood with water in it"),
    LINES_ASKED("a line to be measured"),
    TURNS_STIFF("a shaft turns stiffly"),
    LINE_BENT("the line binds"),
    LINE_TIGHT("the line is tight"),
    HAS_LINERS("it has liners"),
    LINERS_UNEVEN("liners stand wrong"),
    DECK_ASKEW("the deck stands askew to the crank line"),
    DECK_ASKED("a deck to be squared to its crank line");

    private final String words;

    Finding(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }
}
