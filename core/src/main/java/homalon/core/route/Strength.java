package homalon.core.route;

/** How strictly one thing comes before another. */
public enum Strength {
    /** Passed only with a name and a reason. */
    MUST,
    /** Warned about, with what it risks; the work goes on. */
    BETTER
}
