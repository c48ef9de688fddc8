package homalon.app.foundation.web;

import java.util.Optional;

/** What a form does not say: a page may leave out a field, and a script that calls may too. */
public final class Blanks {
    private Blanks() {}

    /** As typed; nothing for a field that did not come. */
    public static String of(String typed) {
        return Optional.ofNullable(typed).orElse("");
    }

    /** A tick that did not come is none. */
    public static Boolean of(Boolean ticked) {
        return Boolean.TRUE.equals(ticked);
    }
}
