package homalon.core.hours;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * From one minute to another, the last not within.
 *
 * @param from minute
 * @param to no less than from
 */
public record Stretch(int from, int to) {
    public Stretch {
        if (to < from) {
            throw new IllegalArgumentException("a stretch ends before it begins: " + from + " to " + to);
        }
    }

    public int minutes() {
        return to - from;
    }

    /** Whether both have a minute in common. */
    public boolean meets(Stretch other) {
        return from < other.to && other.from < to;
    }

    /** The same minutes as few stretches as can be, the first first; those of no minute are left out. */
    public static List<Stretch> joined(List<Stretch> some) {
        List<Stretch> all = new ArrayList<>();
        some.stream()
                .filter(s -> s.minutes() > 0)
                .sorted(Comparator.comparingInt(Stretch::from))
                .forEach(s -> {
                    int last = all.size() - 1;
                    if (last >= 0 && s.from <= all.get(last).to) {
                        all.set(last, new Stretch(all.get(last).from, Math.max(all.get(last).to, s.to)));
                    } else {
                        all.add(s);
                    }
                });
        return List.copyOf(all);
    }

    /** What of a whole lies in none of some. */
    public static List<Stretch> without(Stretch whole, List<Stretch> some) {
        List<Stretch> all = new ArrayList<>();
        int from = whole.from;
        for (Stretch s : joined(some)) {
            if (s.to > whole.from && s.from < whole.to) {
                if (s.from > from) {
                    all.add(new Stretch(from, s.from));
                }
                from = Math.max(from, s.to);
            }
        }
        if (from < whole.to) {
            all.add(new Stretch(from, whole.to));
        }
        return List.copyOf(all);
    }
}
