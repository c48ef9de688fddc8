package homalon.core.quantity;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** How a shop, or a customer of it, writes days; months by name, except where the year comes first. */
public enum DayForm {
    DAY_FIRST("", "d MMMM", "d MMM", " yyyy"),
    MONTH_FIRST("", "MMMM d", "MMM d", ", yyyy"),
    YEAR_FIRST("yyyy-", "MM-dd", "MM-dd", "");

    private static final DateTimeFormatter WEEKDAY = pattern("EEEE, ");
    private static final DateTimeFormatter SHORT_WEEKDAY = pattern("EEE ");
    private static final DateTimeFormatter TIME = pattern(" HH:mm");

    private final Message words = Message.of(this);
    private final DateTimeFormatter full;
    private final DateTimeFormatter whole;
    private final DateTimeFormatter brief;
    private final DateTimeFormatter ofTheWeek;

    /** @param before the year where it comes first, and after where it comes last */
    DayForm(String before, String longDay, String shortDay, String after) {
        this.full = pattern(before + longDay + after);
        this.whole = pattern(before + shortDay + after);
        this.brief = pattern(shortDay);
        this.ofTheWeek = pattern(before + longDay);
    }

    private static DateTimeFormatter pattern(String letters) {
        return DateTimeFormatter.ofPattern(letters, Locale.ENGLISH);
    }

    public Message words() {
        return words;
    }

    /** Empty for what is no form. */
    public static Optional<DayForm> byName(String name) {
        return Arrays.stream(values()).filter(f -> f.name().equals(name)).findFirst();
    }

    /** {@code 4 March 2026}. */
    public String day(LocalDate day) {
        return full.format(day);
    }

    /** {@code 4 Mar}: where the year is plain. */
    public String brief(LocalDate day) {
        return brief.format(day);
    }

    /** {@code Wed 4 Mar}. */
    public String briefWithWeekday(LocalDate day) {
        return SHORT_WEEKDAY.format(day) + brief(day);
    }

    /** {@code Wednesday, 4 March}. */
    public String withWeekday(LocalDate day) {
        return WEEKDAY.format(day) + ofTheWeek.format(day);
    }

    /** {@code 4 Mar 14:05}. */
    public String moment(LocalDateTime at) {
        return brief.format(at) + TIME.format(at);
    }

    /** {@code 4 Mar 2026 14:05}. */
    public String wholeMoment(LocalDateTime at) {
        return whole.format(at) + TIME.format(at);
    }
}
