package homalon.core.hours;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * The shop's open time from a moment on, laid end to end: minute 0 is its first open minute, and where it closes the next minute is the
 * first of the next opening. So work that is left lying overnight is as long on it as it takes in hands. What runs by itself takes minutes
 * of the day and not of this line: see {@link #alone}.
 *
 * @param from the moment from which minutes of the day are counted
 * @param stretches in minutes of the day, the first first, none meeting another
 * @param end minutes of the day that are looked at
 */
public record OpenTime(Instant from, List<Stretch> stretches, int end) {
    /** A closing as long as this, minutes, is a night and no dinner. */
    public static final int NIGHT = 3 * 60;

    public OpenTime {
        stretches = Stretch.joined(stretches);
    }

    /** Open minutes in all. */
    public int length() {
        return stretches.stream().mapToInt(Stretch::minutes).sum();
    }

    /** The same time up to where so many open minutes are over. */
    public OpenTime first(int minutes) {
        List<Stretch> some = new ArrayList<>();
        int left = minutes;
        for (Stretch s : stretches) {
            if (left > 0) {
                some.add(new Stretch(s.from(), Math.min(s.to(), s.from() + left)));
                left -= s.minutes();
            }
        }
        return new OpenTime(from, some, end);
    }

    /** Open minutes before a minute of the day. */
    public int before(int minute) {
        int sum = 0;
        for (Stretch s : stretches) {
            if (s.from() >= minute) {
                break;
            }
            sum += Math.min(minute, s.to()) - s.from();
        }
        return sum;
    }

    /** Open minutes before a moment. */
    public int before(Instant moment) {
        return before(minutes(moment));
    }

    /** Open minutes of which the last is over at a moment or later: before then nothing of it has begun. */
    private int minutes(Instant moment) {
        long seconds = Duration.between(from, moment).toSeconds();
        return (int) Math.max(0, Math.min(end, Math.floorDiv(seconds + 59, 60L)));
    }

    /** The minute of the day at which what begins with an open minute begins: after a closing that of the next opening. */
    public int begins(int open) {
        int left = open;
        for (Stretch s : stretches) {
            if (left < s.minutes()) {
                return s.from() + left;
            }
            left -= s.minutes();
        }
        return end;
    }

    /** The minute of the day at which so many open minutes are over: at a closing that of the closing. */
    public int ends(int open) {
        int left = open;
        for (Stretch s : stretches) {
            if (left <= s.minutes()) {
                return s.from() + left;
            }
            left -= s.minutes();
        }
        return end;
    }

    /** The moment at which what begins with an open minute begins. */
    public Instant beginsAt(int open) {
        return from.plus(Duration.ofMinutes(begins(open)));
    }

    /** The moment at which so many open minutes are over. */
    public Instant endsAt(int open) {
        return from.plus(Duration.ofMinutes(ends(open)));
    }

    /**
     * Where on the line something is over that runs by itself, closed or open: what began before dinner runs on through it.
     *
     * @param open minutes before it began
     * @param minutes of the day that it takes
     */
    public int alone(int open, int minutes) {
        return before(Math.min(end, ends(open) + minutes));
    }

    /** The same for what does not run at night: begun where the shop closes for one, it begins when it opens. A dinner it runs through. */
    public int byDay(int open, int minutes) {
        return before(Math.min(end, beginsByDay(open) + minutes));
    }

    private int beginsByDay(int open) {
        return begins(open) - ends(open) >= NIGHT ? begins(open) : ends(open);
    }

    /** Whether what runs by itself for so many minutes of the day, and not at night, would still run when the shop closes for one. */
    public boolean intoTheNight(int open, int minutes) {
        int at = beginsByDay(open);
        return days().stream().noneMatch(d -> d.from() <= at && at + minutes <= d.to());
    }

    /** Open minutes at which something can begin that runs so long and not at night; on some days there may be none. */
    public List<Stretch> beginsByDayFor(int minutes) {
        return days().stream()
                .filter(d -> d.minutes() >= minutes)
                .map(d -> new Stretch(before(d.from()), before(d.to() - minutes) + 1))
                .toList();
    }

    /** From one night to the next, dinners within, in minutes of the day. */
    private List<Stretch> days() {
        List<Stretch> days = new ArrayList<>();
        for (Stretch s : stretches) {
            int last = days.size() - 1;
            if (last >= 0 && s.from() - days.get(last).to() < NIGHT) {
                days.set(last, new Stretch(days.get(last).from(), s.to()));
            } else {
                days.add(s);
            }
        }
        return days;
    }

    /** Whether the shop closes within. */
    public boolean closesWithin(int from, int to) {
        int sum = 0;
        for (Stretch s : stretches) {
            sum += s.minutes();
            if (sum > from) {
                return sum < to;
            }
        }
        return false;
    }

    /** The line's own stretches between closings. */
    public List<Stretch> openings() {
        List<Stretch> all = new ArrayList<>();
        int sum = 0;
        for (Stretch s : stretches) {
            all.add(new Stretch(sum, sum + s.minutes()));
            sum += s.minutes();
        }
        return List.copyOf(all);
    }

    /**
     * What of the line somebody is not there for.
     *
     * @param there in minutes of the day from the same moment
     */
    public List<Stretch> away(List<Stretch> there) {
        List<Stretch> all = new ArrayList<>();
        for (Stretch s : stretches) {
            for (Stretch gap : Stretch.without(s, there)) {
                int begins = before(gap.from());
                all.add(new Stretch(begins, begins + gap.minutes()));
            }
        }
        return Stretch.joined(all);
    }
}
