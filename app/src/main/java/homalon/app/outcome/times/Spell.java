package homalon.app.outcome.times;

import java.time.Duration;

/** Times in words: {@code 1 h 40 min}, {@code 3 days}. */
final class Spell {
    private static final int HOUR = 60;
    private static final int DAY = 24;

    private Spell() {}

    /** Rounded to the minute. */
    static String hours(Duration time) {
        long minutes = Math.round(time.toSeconds() / 60.0);
        long hours = minutes / HOUR;
        long rest = minutes % HOUR;
        return hours == 0 ? rest + " min" : hours + " h" + (rest == 0 ? "" : " " + rest + " min");
    }

    /** Whole days, or below two of them whole hours. */
    static String days(Duration time) {
        long hours = Math.round(time.toMinutes() / 60.0);
        return hours < 2 * DAY ? hours + " h" : Math.round(hours / (double) DAY) + " days";
    }
}
