package homalon.core.visit;

/** What was keyed at a place. */
public enum FeelerSaid {
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
