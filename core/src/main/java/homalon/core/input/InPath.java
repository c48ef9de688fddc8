package homalon.core.input;

import java.util.Optional;

/** Is named in addresses and records by a word of its own, whatever the code calls it. */
public interface InPath {
    String path();

    /** The one that is named so; empty where none is. */
    static <T extends InPath> Optional<T> find(Class<T> kind, String path) {
        for (T one : kind.getEnumConstants()) {
            if (one.path().equals(path)) {
                return Optional.of(one);
            }
        }
        return Optional.empty();
    }
}
