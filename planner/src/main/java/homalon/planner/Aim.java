package homalon.planner;

/** What is made as small as it can be, one after the other; what an earlier one came to is kept by all later ones. */
public enum Aim {
    LATE(0.6),
    MOVED(0.4),
    SET_UP(0.6),
    STANDING(1);

    /** Of the work that is left, what it may take. */
    private final double share;

    Aim(double share) {
        this.share = share;
    }

    double share() {
        return share;
    }
}
