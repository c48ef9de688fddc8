package homalon.core.visit;

/** What is kept of a valve beside its readings: sizes of a place, choices, and what was done. */
public enum Said {
    GUIDE(false),
    GUIDE_ITEM(false),
    HOUSING(true),
    GUIDE_SET(true),
    GUIDE_DONE(false),
    /** A machinist answers for a guide that was judged by feel. */
    FELT(false),
    COUNTERBORE(true),
    FLOOR(true),
    WALL(true),
    THROAT(true),
    PROUD(true),
    NEIGHBOURS(false),
    DAMAGE(false),
    RUN_AT(false),
    METAL(false),
    SIGNED(false),
    /** The owner answers for a press that strains the casting beyond what a machinist may sign. */
    OVERSTRAIN(false),
    INSERT(false),
    CHILL(false),
    INSERT_DONE(false),
    SEAT_WAY(false),
    UNEVEN(true),
    REFACED(true),
    SEAT_DONE(false);

    private final boolean length;

    Said(boolean length) {
        this.length = length;
    }

    public boolean isLength() {
        return length;
    }

    /** Work that was done, which a later reading or a later piece of work can make due again. */
    public boolean isWork() {
        return this == GUIDE_DONE || this == INSERT_DONE || this == SEAT_DONE;
    }
}
