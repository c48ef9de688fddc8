package homalon.core.bench;

import homalon.core.hours.Stretch;
import java.util.List;

/**
 * Something that work is done on.
 *
 * @param holds castings at a time. More than one go in together: loaded one after the other, they run by themselves from the same minute
 *     on, set up for the same, and nothing else goes in before the last is out
 * @param away when it is down, open minutes
 * @param setUp what it is set up for now; empty where nobody knows
 */
public record Station(String id, int holds, List<Stretch> away, String setUp) {
    public Station {
        if (holds < 1) {
            throw new IllegalArgumentException("a station holds one casting at the least: " + id);
        }
        away = Stretch.joined(away);
    }

    public boolean together() {
        return holds > 1;
    }
}
