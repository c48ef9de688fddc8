package homalon.app.casting.agreed;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.input.Problems;
import homalon.core.money.Choice;
import homalon.core.route.Finding;
import homalon.core.visit.PartFile;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When customers were to be asked, and what they chose. Nothing of it is changed: whoever thinks it over chooses anew. */
@Service
@Transactional
@RequiredArgsConstructor
public class ChoiceBook {
    private static final int LONGEST_NAME = 120;
    private static final int LONGEST = 300;

    private final EvidenceLog log;
    private final CastingLocks locks;
    private final ChoiceRepository choices;

    public record Asked(UUID visit, Finding why, UUID by, Instant at) {}

    /**
     * What was said.
     *
     * @param shown the estimate that it was said of
     * @param upTo so far it goes on without asking, in that estimate's currency
     * @param who said it
     */
    public record Said(
            UUID shown, Choice choice, Choice.By means, Optional<BigDecimal> upTo, String who, String words) {}

    /** @param by who noted it */
    public record Made(UUID visit, Said said, UUID by, Instant at) {}

    /** By visit, those without left out; the first first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Asked>> asked(Collection<UUID> visits) {
        return log.ofVisits(ChoiceAskedRow.class, visits).stream()
                .map(ChoiceAskedRow::told)
                .collect(Collectors.groupingBy(Asked::visit));
    }

    @Transactional(readOnly = true)
    public Map<UUID, List<Made>> made(Collection<UUID> visits) {
        return log.ofVisits(ChoiceMadeRow.class, visits).stream()
                .map(ChoiceMadeRow::told)
                .collect(Collectors.groupingBy(Made::visit));
    }

    /** By visit, since when its customer is asked; those without left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Asked> open(Collection<UUID> visits) {
        Map<UUID, List<Made>> made = made(visits);
        Map<UUID, Asked> open = new HashMap<>();
        asked(visits).forEach((visit, all) -> {
            Optional<Instant> last =
                    made.getOrDefault(visit, List.of()).stream().map(Made::at).max(Comparator.naturalOrder());
            all.stream()
                    .filter(a -> last.filter(l -> !l.isBefore(a.at())).isEmpty())
                    .findFirst()
                    .ifPresent(a -> open.put(visit, a));
        });
        return open;
    }

    /** Visits in the shop whose customer is asked. */
    @Transactional(readOnly = true)
    public List<UUID> visitsAsked() {
        return choices.visitsAsked();
    }

    /** Visits in the shop whose customer chose something on its page. */
    @Transactional(readOnly = true)
    public List<UUID> visitsChosenOnThePage() {
        return choices.visitsChosen(Choice.By.PAGE);
    }

    /** Whether anything was ever chosen for a casting that is in the shop, or every customer is asked at some point. */
    @Transactional(readOnly = true)
    public boolean concerns(String tag) {
        return choices.concerns(tag);
    }

    /** @throws homalon.core.input.BadInputException for a casting that left */
    public void ask(PartFile part, UUID id, Finding why, UUID by) {
        part.requireHere("ask", "to ask for it");
        if (locks.first(part, id)) {
            log.add(new ChoiceAskedRow(id, part.visit().id(), why, by));
        }
    }

    /**
     * @param said made once the casting has its turn, so that it is of the estimate as it stands then
     * @throws homalon.core.input.BadInputException for words too long, nobody named, or a casting that left
     */
    public void choose(PartFile part, UUID id, Function<PartFile, Said> said, UUID by) {
        part.requireHere("choice", "to note a choice for it");
        if (!locks.first(part, id)) {
            return;
        }
        Said wanted = said.apply(part);
        Problems problems = new Problems();
        problems.require(!wanted.who().isBlank(), "who", "app.agreed.say-who-said-so");
        problems.require(wanted.who().length() <= LONGEST_NAME, "who", "app.agreed.at-most-letters", LONGEST_NAME);
        problems.require(wanted.words().length() <= LONGEST, "words", "app.agreed.at-most-letters", LONGEST);
        problems.throwIfAny();
        log.add(new ChoiceMadeRow(id, part.visit().id(), wanted, by));
    }

    /** Takes the words out that may name a customer who is erased. */
    public void forget(UUID customer) {
        choices.forget(customer);
    }
}
