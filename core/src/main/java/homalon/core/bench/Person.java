package homalon.core.bench;

import homalon.core.hours.Stretch;
import java.util.List;

/**
 * Somebody who works at the bench.
 *
 * @param away when not there, open minutes
 */
public record Person(String id, List<Stretch> away) {
    public Person {
        away = Stretch.joined(away);
    }
}
