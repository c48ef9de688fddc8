package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.ReadTransaction;
import homalon.core.gauge.GaugeStanding;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import homalon.core.visit.ReadWith;
import java.time.Clock;
import java.time.Duration;
import java.util.Collection;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is in hand at each step of a visit. */
@Service
@Transactional
@RequiredArgsConstructor
public class Hands {
    /** So long what a person had in hand last is proposed. */
    private static final Duration KEPT = Duration.ofDays(14);

    private final Instruments instruments;
    private final InUseRepository uses;
    private final EvidenceLog log;
    private final ReadTransaction reading;
    private final Clock clock;

    /**
     * From now on it is in hand.
     *
     * @param step as its page's address has it
     * @param code of the instrument; blank to put away what is in hand of that kind
     * @throws BadInputException when there is none of that code and kind, or it was found out
     */
    public void take(PartFile part, String step, InstrumentKind kind, String code, UUID by) {
        UUID visit = part.visit().id();
        Optional<InUse> now = now(visit, step, kind);
        if (code.isBlank()) {
            now.ifPresent(n -> log.add(InUseRow.putAway(visit, step, kind, by)));
            return;
        }
        Instruments.Known known = instruments
                .find(code.strip())
                .filter(k -> k.instrument().kind() == kind && !k.retired())
                .orElseThrow(() -> new BadInputException("code", "app.instruments.no-such", code.strip()));
        if (known.standing().state() == GaugeStanding.State.OUT) {
            throw new BadInputException("code", "app.instruments.found-out-take-another", known.called());
        }
        InUse use = InUse.of(known.instrument(), known.standing());
        if (now.filter(use::equals).isEmpty()) {
            log.add(InUseRow.taken(visit, step, use, by));
        }
    }

    private Optional<InUse> now(UUID visit, String step, InstrumentKind kind) {
        return log.ofVisit(InUseRow.class, visit).stream()
                .filter(u -> u.step().equals(step) && u.kind() == kind)
                .reduce((a, b) -> b)
                .flatMap(InUseRow::use);
    }

    /** What was taken in hand on these visits, in order, by visit and step. */
    @Transactional(readOnly = true)
    public Map<Step, List<ReadWith.Taken>> taken(Collection<UUID> visits) {
        return reading.once(new OfVisits(List.copyOf(visits)), () -> read(visits));
    }

    /** Several steps of a visit ask for it within one answer. */
    private record OfVisits(List<UUID> visits) {}

    private Map<Step, List<ReadWith.Taken>> read(Collection<UUID> visits) {
        return log.ofVisits(InUseRow.class, visits).stream()
                .collect(Collectors.groupingBy(
                        u -> new Step(u.visit(), u.step()),
                        Collectors.mapping(u -> new ReadWith.Taken(u.at(), u.kind(), u.use()), Collectors.toList())));
    }

    /** A step of a visit. */
    public record Step(UUID visit, String step) {}

    /** What a person may take in hand, and what is proposed: the one taken last. */
    @Transactional(readOnly = true)
    public List<Choice> choices(List<InstrumentKind> kinds, UUID person) {
        return kinds.stream()
                .map(kind -> new Choice(
                        kind,
                        instruments.ofKind(kind),
                        uses.last(person, kind, clock.instant().minus(KEPT))
                                .map(InUseRow::code)
                                .filter(this::mayBeTaken)
                                .orElse("")))
                .filter(c -> !c.instruments().isEmpty())
                .toList();
    }

    /** What a form says is in hand: of each kind the code that was chosen, those that were not are left out. */
    public static Map<InstrumentKind, String> chosen(List<InstrumentKind> kinds, Map<String, String> typed) {
        Map<InstrumentKind, String> chosen = new EnumMap<>(InstrumentKind.class);
        kinds.forEach(kind -> {
            String code = typed.getOrDefault("hand-" + kind.name(), "");
            if (!code.isBlank()) {
                chosen.put(kind, code);
            }
        });
        return chosen;
    }

    private boolean mayBeTaken(String code) {
        return instruments
                .find(code)
                .filter(k -> !k.retired() && k.standing().state() != GaugeStanding.State.OUT)
                .isPresent();
    }

    /**
     * Instruments of a kind.
     *
     * @param proposed code of the one that is proposed; empty for none
     */
    public record Choice(InstrumentKind kind, List<Instruments.Known> instruments, String proposed) {}
}
