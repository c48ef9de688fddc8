package homalon.core.bench;

import java.util.List;

/**
 * What is not known of a bench day.
 *
 * @param spread how far what a work takes goes from what it usually takes: the standard deviation of its logarithm
 * @param turns what may turn up
 * @param arrivals of parts, answers and castings that are away
 */
public record Chances(double spread, List<Turn> turns, List<Arrival> arrivals) {
    /**
     * What may turn up at a work and makes it longer by all that follows from it.
     *
     * @param chance from 0 to 1
     * @param minutes in hands
     */
    public record Turn(String work, double chance, int minutes) {}

    /**
     * What a work waits for.
     *
     * @param early open minutes before what is said of it, at the most
     * @param late the mean of how long after it comes, where it comes late
     * @param chance that it does
     */
    public record Arrival(String work, int early, int late, double chance) {}

    public Chances {
        if (!(spread >= 0)) {
            throw new IllegalArgumentException("a spread is no less than nothing: " + spread);
        }
        turns = List.copyOf(turns);
        arrivals = List.copyOf(arrivals);
    }

    /** Times spread by a third to either side, nothing turns up, all comes when it is said to. */
    public static final Chances USUAL = new Chances(0.3, List.of(), List.of());
}
