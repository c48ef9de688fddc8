package homalon.core.bench;

import homalon.core.hours.OpenTime;
import homalon.core.hours.Stretch;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** Where on a time something can begin that runs by itself and not at night. */
final class ByDay {
    private final OpenTime time;
    private final Map<Integer, List<Stretch>> begins = new HashMap<>();

    ByDay(OpenTime time) {
        this.time = time;
    }

    /**
     * The first minute from one on; {@link Passage#NOWHERE} for none.
     *
     * @param minutes of the day that it runs
     */
    int next(int from, int minutes) {
        for (Stretch s : begins.computeIfAbsent(minutes, time::beginsByDayFor)) {
            if (from < s.to()) {
                return Math.max(from, s.from());
            }
        }
        return Passage.NOWHERE;
    }
}
