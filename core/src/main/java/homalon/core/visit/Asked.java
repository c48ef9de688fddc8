package homalon.core.visit;

/** What is asked of a laid straightedge. */
public enum Asked {
    /** Does it rock or sit still? */
    REST,
    /** Which blades go under it at one place? */
    STATION,
    /** Which equal blades under both ends stop it from rocking? */
    ENDS,
    /** Where a blade that was slid along began to go or to be refused: nobody asked, but it was said. */
    SLID
}
