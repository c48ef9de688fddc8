package homalon.core.integrity;

import homalon.core.part.PartKind;
import org.jspecify.annotations.Nullable;

/** Where a crack runs. */
public enum CrackPlace {
    /** Seats, guides and their water stand in a block as well, where its valves do. */
    BETWEEN_SEATS("between the seats", null),
    SEAT_TO_PLUG("seat to plug", PartKind.HEAD),
    SEAT_TO_WATER("seat to water", null),
    SEAT_TO_BORE("seat to bore", PartKind.DECK),
    GUIDE_BOSS("guide boss", null),
    EXHAUST_PORT("exhaust port", PartKind.HEAD),
    SPRING_POCKET("spring pocket", PartKind.HEAD),
    BETWEEN_BORES("deck between bores", PartKind.DECK),
    BORE_WALL("bore wall", PartKind.DECK),
    MAIN_WEB("main web", PartKind.DECK),
    BOLT_HOLE("bolt hole", null),
    FACE("elsewhere in the face", null);

    private final String words;
    private final @Nullable PartKind only;

    CrackPlace(String words, @Nullable PartKind only) {
        this.words = words;
        this.only = only;
    }

    public String words() {
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
