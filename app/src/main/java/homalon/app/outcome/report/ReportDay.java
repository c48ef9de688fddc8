package homalon.app.outcome.report;

import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** A day as papers write it. */
final class ReportDay {
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    private ReportDay() {}

    /** {@code 4 March 2026}, by the shop's own clock. */
    static String of(Instant at) {
        return DAY.format(at.atZone(ZoneId.systemDefault()));
    }
}
