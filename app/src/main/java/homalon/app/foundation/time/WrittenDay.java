package homalon.app.foundation.time;

import homalon.core.quantity.DayForm;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;

/** A moment as papers and pages write it, by the shop's own clock. */
public final class WrittenDay {
    private WrittenDay() {}

    private static LocalDateTime here(Instant at) {
        return LocalDateTime.ofInstant(at, ZoneId.systemDefault());
    }

    /** {@code 4 March 2026}. */
    public static String of(Instant at, DayForm form) {
        return form.day(here(at).toLocalDate());
    }

    /** {@code 4 Mar 14:05}: beside a line of a log. */
    public static String moment(Instant at, DayForm form) {
        return form.moment(here(at));
    }

    /** {@code 4 Mar 2026 14:05}, by the world's clock: where devices or shops are compared. */
    public static String utc(Instant at, DayForm form) {
        return form.wholeMoment(LocalDateTime.ofInstant(at, ZoneOffset.UTC));
    }
}
