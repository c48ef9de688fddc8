package homalon.app.outcome.plan;

import homalon.app.casting.part.Parts;
import homalon.app.casting.part.StepSource;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.bench.UsualChances;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the shop's checks found in the castings that left last; looked at once an hour. */
@Component
@RequiredArgsConstructor
public class FoundBefore {
    private static final int VISITS = 60;

    private final Parts parts;
    private final StepSource steps;
    private final ShopInputs shop;
    private final Memory memory;
    private final Clock clock;

    /** What was counted by an hour. */
    private record Counted(long hour) implements Question<Map<UsualChances.Check, UsualChances.Counted>> {}

    @Transactional(readOnly = true)
    public Map<UsualChances.Check, UsualChances.Counted> now() {
        long hour = clock.instant().truncatedTo(ChronoUnit.HOURS).getEpochSecond();
        return memory.answer(new Counted(hour), this::count);
    }

    /** Castings at which the check was done that was done most. */
    @Transactional(readOnly = true)
    public int castings() {
        return now().values().stream()
                .mapToInt(UsualChances.Counted::looked)
                .max()
                .orElse(0);
    }

    private Map<UsualChances.Check, UsualChances.Counted> count() {
        List<PartFile> left = parts.asVisited(parts.lastHandedOver(VISITS));
        Map<UUID, VisitSteps.Standing> standing = steps.steps(left, shop.writer());
        return UsualChances.counted(left.stream()
                .flatMap(p -> Optional.ofNullable(standing.get(p.visit().id()))
                        .map(s -> new UsualChances.Left(p.material(), s.route()))
                        .stream())
                .toList());
    }
}
