package homalon.core.bench;

/**
 * How much work is put into a timetable.
 *
 * @param work in the solver's own count, about seconds of one core: not the clock, so that the same bench gives the same timetable
 * @param searches that take turns, each in a way of its own
 * @param seed of theirs
 */
public record Budget(double work, int searches, int seed) {
    public Budget {
        if (!(work > 0) || searches < 1) {
            throw new IllegalArgumentException(
                    "a budget has work and one search at the least: " + work + ", " + searches);
        }
    }
}
