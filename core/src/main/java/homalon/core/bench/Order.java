package homalon.core.bench;

/**
 * One work before another.
 *
 * @param must false where it is only better so: then it may be broken, and is told
 */
public record Order(String before, String after, boolean must) {}
