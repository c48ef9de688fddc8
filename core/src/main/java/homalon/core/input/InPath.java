package homalon.core.input;

/** Is named in addresses and records by a word of its own, whatever the code calls it. */
public interface InPath {
    String path();
}
