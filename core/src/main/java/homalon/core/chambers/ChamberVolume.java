package homalon.core.chambers;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A chamber's volume from its fills in one state, cm3.
 *
 * @param cc mean of the fills that agree; of all while none do
 * @param apart largest less smallest of those taken
 * @param plusMinus the default of one fill, or half of what they are apart when that is more
 * @param taken indices of the fills that count
 * @param fills how many there are
 */
public record ChamberVolume(double cc, double apart, double plusMinus, List<Integer> taken, int fills) {
    /** Fills that differ by more are filled again. */
    public static final double DEFAULT_AGREE = 0.3;
    /** What one careful fill leaves open; a general default. */
    public static final double DEFAULT_FILL = 0.2;

    /** What a volume leaves open that was told and not measured; a general default. */
    public static final double DEFAULT_TOLD = 0.5;

    private static final double SLACK = 1e-9;

    /**
     * @param fills cm3, in the order poured, at least one
     * @param fillSpread what one fill leaves open
     */
    public static ChamberVolume of(double[] fills, double fillSpread) {
        List<Integer> best = new ArrayList<>();
        // The largest group that agrees; of two as large the one that ends later.
        for (int low = 0; low < fills.length; low++) {
            List<Integer> group = new ArrayList<>();
            for (int i = 0; i < fills.length; i++) {
                if (fills[i] >= fills[low] && fills[i] <= fills[low] + DEFAULT_AGREE + SLACK) {
                    group.add(i);
                }
            }
            boolean later = group.size() == best.size() && last(group) > last(best);
            best = group.size() > best.size() || later ? group : best;
        }
        if (best.size() < 2) {
            best = new ArrayList<>();
            for (int i = 0; i < fills.length; i++) {
                best.add(i);
            }
        }
        double[] of = best.stream().mapToDouble(i -> fills[i]).toArray();
        double apart =
                Arrays.stream(of).max().orElseThrow() - Arrays.stream(of).min().orElseThrow();
        double mean = Arrays.stream(of).average().orElseThrow();
        return new ChamberVolume(mean, apart, Math.max(fillSpread, apart / 2), List.copyOf(best), fills.length);
    }

    private static int last(List<Integer> group) {
        return group.isEmpty() ? -1 : group.get(group.size() - 1);
    }

    /** Two fills or more agree. */
    public boolean settled() {
        return taken.size() > 1 && apart <= DEFAULT_AGREE + SLACK;
    }

    /** What to do next, in words; empty when nothing. */
    public Message next() {
        if (settled()) {
            return Message.NONE;
        }
        return fills == 1
                ? Message.of("chambers.fill-it-a-second-time")
                : Message.of("chambers.the-fills-differ-too-much-fill-it-again");
    }
}
