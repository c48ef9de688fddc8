package homalon.core.bench;

/** What is made as small as it can be, one after the other; what an earlier one came to is kept by all later ones. */
public enum Aim {
    LATE,
    MOVED,
    SET_UP,
    STANDING
}
