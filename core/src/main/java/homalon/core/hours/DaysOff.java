package homalon.core.hours;

import java.time.LocalDate;

/**
 * Days on which nobody works, or one person does not: a holiday, a week away.
 *
 * @param from the first
 * @param to the last, no earlier
 * @param why in the words of whoever keyed it; may be empty
 */
public record DaysOff(LocalDate from, LocalDate to, String why) {
    public DaysOff {
        if (to.isBefore(from)) {
            throw new IllegalArgumentException("days off end before they begin: " + from + " to " + to);
        }
    }

    public boolean holds(LocalDate day) {
        return !day.isBefore(from) && !day.isAfter(to);
    }
}
