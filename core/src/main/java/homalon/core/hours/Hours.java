package homalon.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;

/**
 * When somebody or something is there: hours of a week, days off.
 *
 * @param week its hours
 * @param off days without
 */
public record Hours(WeekHours week, List<DaysOff> off) {
    /** Farther ahead than this no plan looks. */
    static final int MOST_DAYS = 400;

    public Hours {
        off = List.copyOf(off);
    }

    public static Hours of(WeekHours week) {
        return new Hours(week, List.of());
    }

    public Hours with(List<DaysOff> more) {
        List<DaysOff> all = new ArrayList<>(off);
        all.addAll(more);
        return new Hours(week, all);
    }

    /** Open on a day that is none of those off. */
    public boolean openOn(LocalDate day) {
        return off.stream().noneMatch(o -> o.holds(day))
                && !week.on(day.getDayOfWeek()).isEmpty();
    }

    /**
     * Its open time as minutes after a moment. An hour that the clock leaves out in spring is not there, one that it repeats in autumn is
     * there twice.
     *
     * @param from whole minutes are counted from here
     * @param to no more than 400 days later
     */
    public List<Stretch> between(Instant from, Instant to, ZoneId zone) {
        if (Duration.between(from, to).toDays() > MOST_DAYS) {
            throw new IllegalArgumentException("no more than " + MOST_DAYS + " days are looked at, not to " + to);
        }
        List<Stretch> all = new ArrayList<>();
        int end = minutes(from, to);
        // One that began the evening before may still run.
        LocalDate last = to.atZone(zone).toLocalDate();
        for (LocalDate day = from.atZone(zone).toLocalDate().minusDays(1); !day.isAfter(last); day = day.plusDays(1)) {
            if (openOn(day)) {
                for (Stretch span : week.on(day.getDayOfWeek())) {
                    int begins = Math.max(0, minutes(from, at(day, span.from(), zone)));
                    int ends = Math.min(end, minutes(from, at(day, span.to(), zone)));
                    if (ends > begins) {
                        all.add(new Stretch(begins, ends));
                    }
                }
            }
        }
        return Stretch.joined(all);
    }

    /** What the clock on the wall shows: a time that it leaves out in spring comes an hour later, one that it repeats is its first. */
    private static Instant at(LocalDate day, int minute, ZoneId zone) {
        return day.plusDays(minute / WeekHours.DAY)
                .atTime(minute % WeekHours.DAY / 60, minute % 60)
                .atZone(zone)
                .toInstant();
    }

    private static int minutes(Instant from, Instant to) {
        return (int) Math.floorDiv(Duration.between(from, to).toSeconds(), 60);
    }
}
