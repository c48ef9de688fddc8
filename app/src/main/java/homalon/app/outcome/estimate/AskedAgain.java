package homalon.app.outcome.estimate;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.devices.LiveBus;
import homalon.app.foundation.devices.PartChanges;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.money.AskPoint;
import homalon.core.money.Asking;
import homalon.core.money.Estimate;
import homalon.core.money.Outlook;
import homalon.core.route.Finding;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Looks, after something was written about a casting, whether its customer has to be asked before more work is done. */
@Component
@RequiredArgsConstructor
class AskedAgain {
    private final Estimates estimates;
    private final ChoiceBook choices;
    private final Parts parts;
    private final AskSigns signs;
    private final WriteTransaction writing;
    private final LiveBus bus;

    /** @param by who wrote last */
    void look(String tag, UUID by) {
        if (!choices.concerns(tag)) {
            return;
        }
        boolean asked = writing.of(() -> {
            Optional<PartFile> part =
                    parts.find(tag).filter(p -> p.visit().releasedAt().isEmpty());
            return part.flatMap(this::why)
                    .map(why -> {
                        estimates.ask(part.get(), UUID.randomUUID(), why, by);
                        return true;
                    })
                    .orElse(false);
        });
        if (asked) {
            bus.tell(PartChanges.TOPIC + tag, PartChanges.BY_ITSELF);
        }
    }

    private Optional<Finding> why(PartFile part) {
        UUID visit = part.visit().id();
        List<UUID> one = List.of(visit);
        boolean ended = choices.made(one).getOrDefault(visit, List.of()).stream()
                .reduce((a, b) -> b)
                .filter(m -> !m.said().choice().goesOn())
                .isPresent();
        if (ended || choices.open(one).containsKey(visit)) {
            return Optional.empty();
        }
        return estimates.now(part).flatMap(grown -> {
            Estimate estimate = grown.estimate();
            Set<AskPoint> points = grown.list().asks();
            Set<Finding> before = choices.asked(one).getOrDefault(visit, List.of()).stream()
                    .map(ChoiceBook.Asked::why)
                    .collect(Collectors.toSet());
            return Asking.why(
                    points,
                    estimates.agreed(part),
                    before,
                    Outlook.of(estimate, grown.risks()),
                    signs.of(part, estimate, points));
        });
    }
}
