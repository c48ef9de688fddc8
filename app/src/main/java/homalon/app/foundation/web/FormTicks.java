package homalon.app.foundation.web;

import java.util.LinkedHashSet;
import java.util.Objects;
import java.util.Set;

/** Ticks as they were sent: a blank between two commas is no tick. */
public final class FormTicks {
    private FormTicks() {}

    public static <T> Set<T> ticks(Set<T> sent) {
        Set<T> ticked = new LinkedHashSet<>(sent);
        ticked.removeIf(Objects::isNull);
        return ticked;
    }
}
