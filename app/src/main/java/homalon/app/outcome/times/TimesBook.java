package homalon.app.outcome.times;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.bench.SetUpsSeen;
import homalon.core.bench.ShopTimes;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.route.Operation;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How long work takes in this shop. What is learned is looked at once an hour. */
@Service
@Transactional
@RequiredArgsConstructor
public class TimesBook {
    private static final int MOST_CYLINDERS = 16;
    private static final int MOST_MINUTES = 2000;

    private final OwnTimeRepository own;
    private final SeenWork seen;
    private final Memory memory;
    private final Clock clock;

    /** What was learned by an hour. */
    private record Learned(long hour) implements Question<Map<ShopTimes.Of, ShopTimes.Learned>> {}

    @Transactional(readOnly = true)
    public ShopTimes now() {
        long hour = clock.instant().truncatedTo(ChronoUnit.HOURS).getEpochSecond();
        return new ShopTimes(said(), memory.answer(new Learned(hour), () -> ShopTimes.learned(seen.last())));
    }

    /** The last passes over faces, the latest first. */
    @Transactional(readOnly = true)
    public List<SetUpsSeen.Pass> lastCuts() {
        return seen.lastCuts();
    }

    private Map<ShopTimes.Of, Integer> said() {
        Map<ShopTimes.Of, Integer> said = new HashMap<>();
        for (OwnTimeRow row : own.findAllByOrderByAtAscIdAsc()) {
            ShopTimes.Of of = new ShopTimes.Of(row.operation, row.cylinders);
            if (row.minutes == 0) {
                said.remove(of);
            } else {
                said.put(of, row.minutes);
            }
        }
        return said;
    }

    /**
     * @param minutes in hands; 0 takes back what was said
     * @throws BadInputException for what cannot be
     */
    public void say(UUID id, Operation operation, int cylinders, int minutes, UUID by) {
        Problems problems = new Problems();
        problems.require(
                cylinders >= 1 && cylinders <= MOST_CYLINDERS,
                "cylinders",
                "app.times.key-1-to-cylinders",
                MOST_CYLINDERS);
        problems.require(
                minutes >= 0 && minutes <= MOST_MINUTES, "minutes", "app.times.key-1-to-minutes", MOST_MINUTES);
        problems.throwIfAny();
        if (!own.existsById(id)) {
            own.save(new OwnTimeRow(id, operation, cylinders, minutes, by, clock.instant()));
        }
    }
}
