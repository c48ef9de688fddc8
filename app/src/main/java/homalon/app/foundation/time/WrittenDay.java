package homalon.app.foundation.time;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** A day as papers and pages write it in full. */
public final class WrittenDay {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter MOMENT = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private WrittenDay() {}

    /** {@code 4 March 2026}. */
    public static String of(LocalDate day) {
        return DAY.format(day);
    }

    /** {@code 4 Mar 14:05}, by the shop's own clock: beside a line of a log. */
    public static String moment(Instant at) {
        return MOMENT.format(at.atZone(ZoneId.systemDefault()));
    }

    /** {@code 4 March 2026}, by the shop's own clock. */
    public static String of(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }
}
