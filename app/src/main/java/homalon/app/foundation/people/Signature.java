package homalon.app.foundation.people;

import homalon.app.foundation.time.WrittenDay;
import homalon.core.quantity.DayForm;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/** Who wrote a line, and when, as it stands beside it. */
public final class Signature {
    private Signature() {}

    /** {@code Ines, 4 Mar 14:05}; somebody whose name is not known any more is someone. */
    public static String of(Map<UUID, String> names, UUID by, Instant at, DayForm days) {
        return names.getOrDefault(by, "someone") + ", " + WrittenDay.moment(at, days);
    }
}
