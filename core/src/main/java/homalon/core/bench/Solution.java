package homalon.core.bench;

import java.util.List;

/**
 * What came of a bench.
 *
 * @param timetable the best one
 * @param score of it
 * @param reached for each aim that was looked at, in their order
 */
public record Solution(Timetable timetable, Score score, List<Reached> reached) {
    public Solution {
        reached = List.copyOf(reached);
    }

    /**
     * How far an aim was brought.
     *
     * @param value that the timetable has
     * @param bound below which no timetable can be, given what earlier aims came to; the same as the value where it is proven to be the best
     */
    public record Reached(Aim aim, long value, long bound) {
        public boolean proven() {
            return bound >= value;
        }
    }
}
