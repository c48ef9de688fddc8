package homalon.app.check.feelers;

/** What was keyed at a place. */
public enum Said {
    /** The blade went in. */
    GOES,
    /** It did not. */
    REFUSES,
    /** Both at once: the thickest that goes and the thinnest that does not. */
    FOUND,
    ROCKS,
    SITS,
    SKIPPED,
    WITHDRAWN
}
