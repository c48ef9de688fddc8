package homalon.app.outcome.plan;

import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.DayPlan;
import homalon.core.bench.Pin;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What was pinned, held and sent elsewhere by hand. Nothing of it is changed: what is said anew holds, and a pin taken off is a line too. */
@Service
@Transactional
@RequiredArgsConstructor
public class PinBook {
    private static final Duration LONGEST = Duration.ofDays(DayPlan.DAYS);

    private final PinRepository pins;
    private final CrewBook crews;
    private final Clock clock;

    /** @param work as it is called within its casting */
    public record Said(UUID visit, String work, Pin pin, UUID by, Instant at) {}

    /** By visit, without those that were taken off. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Said>> now(Collection<UUID> visits) {
        return visits.isEmpty()
                ? Map.of()
                : pins.lastOf(visits).stream()
                        .map(PinRow::told)
                        .filter(s -> !s.pin().none())
                        .collect(Collectors.groupingBy(Said::visit));
    }

    /**
     * @param work of the bench day, as a plan names it within its casting
     * @throws BadInputException for a casting that left, a time that is over or beyond what is planned, and what the shop does not have
     */
    public void say(PartFile part, UUID id, String work, Pin pin, UUID by) {
        part.requireHere("work", "to say when its work is done");
        pin.at().ifPresent(a -> requireAhead("at", a));
        pin.notBefore().ifPresent(a -> requireAhead("day", a));
        pin.station()
                .filter(s -> crews.posts().stream().noneMatch(p -> p.id().equals(s)))
                .ifPresent(s -> {
                    throw new BadInputException("station", "app.plan.choose-one-of-the-stations");
                });
        pin.person()
                .filter(w -> crews.workers().stream()
                        .noneMatch(
                                p -> p.atBench() && p.person().id().toString().equals(w)))
                .ifPresent(w -> {
                    throw new BadInputException("person", "app.plan.choose-one-of-the-people");
                });
        if (!pins.existsById(id)) {
            pins.save(new PinRow(id, part.visit().id(), work, pin, by, clock.instant()));
        }
    }

    private void requireAhead(String field, Instant at) {
        Instant now = clock.instant();
        if (at.isBefore(now.minus(Duration.ofMinutes(1))) || at.isAfter(now.plus(LONGEST))) {
            throw new BadInputException(field, "app.plan.key-a-time-ahead", DayPlan.DAYS);
        }
    }
}
