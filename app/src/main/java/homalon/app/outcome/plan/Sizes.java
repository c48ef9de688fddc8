package homalon.app.outcome.plan;

import homalon.core.bench.JobSize;
import homalon.core.bench.JobSizes;
import homalon.core.bench.ShopTimes;
import homalon.core.route.Operation;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.Collection;
import java.util.EnumMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** How much there is to do at castings, as far as it was counted, and how long that takes here. */
@Component
@RequiredArgsConstructor
public class Sizes {
    private final Counts counts;
    private final ShopInputs shop;

    /**
     * By visit.
     *
     * @param standing where each of them stands
     */
    public Map<UUID, Function<Operation, JobSize>> of(
            Collection<PartFile> parts, Map<UUID, VisitSteps.Standing> standing) {
        Map<UUID, Counts.Of> counted =
                counts.of(parts.stream().map(p -> p.visit().id()).toList());
        ShopTimes times = shop.times();
        return parts.stream()
                .collect(Collectors.toMap(
                        p -> p.visit().id(),
                        p -> times.on(size(
                                p,
                                counted.getOrDefault(p.visit().id(), Counts.Of.NOTHING),
                                standing.get(p.visit().id()).counted()))));
    }

    /** What was looked at tells more than what was ordered. */
    private static Function<Operation, JobSize> size(PartFile part, Counts.Of ordered, Map<Operation, Integer> looked) {
        Map<Operation, Integer> some = new EnumMap<>(Operation.class);
        some.putAll(ordered.some());
        some.putAll(looked);
        return JobSizes.of(part.kind(), part.numbers().cylinders(), some, ordered.passes());
    }
}
