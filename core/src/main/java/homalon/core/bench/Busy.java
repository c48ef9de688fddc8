package homalon.core.bench;

import homalon.core.hours.Stretch;
import java.util.Arrays;
import java.util.List;

/** The minutes of one that are taken, in order; what is free in between can be looked for. */
final class Busy {
    private int[] from = new int[16];
    private int[] to = new int[16];
    private int count;

    Busy(List<Stretch> taken) {
        taken.forEach(s -> add(s.from(), s.to()));
    }

    Busy(Busy other) {
        from = other.from.clone();
        to = other.to.clone();
        count = other.count;
    }

    /** Takes more; what meets or touches something taken becomes one with it. */
    void add(int begin, int end) {
        if (end <= begin) {
            return;
        }
        int low = first(begin - 1);
        int high = low;
        int least = begin;
        int most = end;
        while (high < count && from[high] <= end) {
            least = Math.min(least, from[high]);
            most = Math.max(most, to[high]);
            high++;
        }
        int grown = count - (high - low) + 1;
        if (grown > from.length) {
            from = Arrays.copyOf(from, 2 * from.length);
            to = Arrays.copyOf(to, 2 * to.length);
        }
        System.arraycopy(from, high, from, low + 1, count - high);
        System.arraycopy(to, high, to, low + 1, count - high);
        from[low] = least;
        to[low] = most;
        count = grown;
    }

    /** Number of the first that ends after a minute; none meets another, so that they end in the order in which they begin. */
    private int first(int minute) {
        int low = 0;
        int high = count;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (to[middle] <= minute) {
                low = middle + 1;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** The first minute, no earlier than one, from which so many are free. */
    int next(int earliest, int minutes) {
        int at = earliest;
        for (int i = first(earliest); i < count && from[i] < at + minutes; i++) {
            at = Math.max(at, to[i]);
        }
        return at;
    }
}
