package homalon.core.hours;

import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import java.time.DayOfWeek;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * The hours of a week, day by day: stretches of minutes after midnight. One that goes past midnight ends beyond 1440 and belongs to the
 * day on which it begins.
 *
 * @param days those that have hours
 */
public record WeekHours(Map<DayOfWeek, List<Stretch>> days) {
    static final int DAY = 24 * 60;
    private static final Pattern SPAN =
            Pattern.compile("(\\d{1,2})(?:[:.]?(\\d{2}))?\\s*(?:-|–|to)\\s*(\\d{1,2})(?:[:.]?(\\d{2}))?");
    private static final Pattern BETWEEN = Pattern.compile("[\\s,;]*(?:and\\s+)?");

    public WeekHours {
        Map<DayOfWeek, List<Stretch>> kept = new EnumMap<>(DayOfWeek.class);
        days.forEach((day, spans) -> {
            if (!spans.isEmpty()) {
                kept.put(day, Stretch.joined(spans));
            }
        });
        days = Map.copyOf(kept);
    }

    /** Never. */
    public static final WeekHours NONE = new WeekHours(Map.of());

    /** The same from Monday to Friday. */
    public static WeekHours workdays(Stretch... spans) {
        Map<DayOfWeek, List<Stretch>> all = new EnumMap<>(DayOfWeek.class);
        for (DayOfWeek day : DayOfWeek.values()) {
            if (day.compareTo(DayOfWeek.FRIDAY) <= 0) {
                all.put(day, List.of(spans));
            }
        }
        return new WeekHours(all);
    }

    public List<Stretch> on(DayOfWeek day) {
        return days.getOrDefault(day, List.of());
    }

    /** Minutes of a whole week. */
    public int minutes() {
        return days.values().stream()
                .flatMap(List::stream)
                .mapToInt(Stretch::minutes)
                .sum();
    }

    /**
     * Hours of one day as they are keyed: {@code 7:30-12 12:45-16:30}; a stretch that ends no later than it begins goes past midnight.
     *
     * @param keyed empty for a day without
     * @param field that a mistake is told of
     * @throws BadInputException for what is no hours, and for stretches that overlap
     */
    public static List<Stretch> read(String keyed, String field) {
        Problems problems = new Problems();
        List<Stretch> all = new ArrayList<>();
        String rest = keyed.strip();
        while (!rest.isEmpty() && problems.none()) {
            Matcher m = SPAN.matcher(rest);
            if (!problems.require(m.lookingAt(), field, "hours.write-hours-so", keyed.strip())) {
                break;
            }
            int from = minute(m.group(1), m.group(2));
            int end = minute(m.group(3), m.group(4));
            if (problems.require(from < DAY && end <= DAY, field, "hours.no-such-time", m.group())) {
                Stretch one = new Stretch(from, end > from ? end : end + DAY);
                problems.require(all.stream().noneMatch(one::meets), field, "hours.stretches-overlap", keyed.strip());
                all.add(one);
            }
            String after = rest.substring(m.end());
            Matcher between = BETWEEN.matcher(after);
            rest = between.lookingAt() ? after.substring(between.end()) : after;
        }
        problems.throwIfAny();
        return Stretch.joined(all);
    }

    private static int minute(String hours, String minutes) {
        int past = minutes == null ? 0 : Integer.parseInt(minutes);
        return past < 60 ? Integer.parseInt(hours) * 60 + past : Integer.MAX_VALUE;
    }

    /** As they are keyed: {@code 7:30-12:00 12:45-16:30}; empty for none. */
    public static String written(List<Stretch> spans) {
        return spans.stream().map(s -> clock(s.from()) + "-" + clock(s.to())).collect(Collectors.joining(" "));
    }

    private static String clock(int minute) {
        int within = minute > DAY ? minute - DAY : minute;
        return within / 60 + ":" + (within % 60 < 10 ? "0" : "") + within % 60;
    }
}
