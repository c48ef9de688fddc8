package homalon.app.outcome.estimate;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.load.Sha256;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.words.Words;
import homalon.app.shop.prices.PriceBook;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.money.Agreed;
import homalon.core.money.Amounts;
import homalon.core.money.Choice;
import homalon.core.money.Estimate;
import homalon.core.money.ShownEstimate;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Finding;
import homalon.core.visit.PartFile;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What is said of lines by hand, and every estimate as it was shown. */
@Service
@Transactional
@RequiredArgsConstructor
public class Estimates {
    private static final int LONGEST_KEY = 60;

    private final PriceBook prices;
    private final Grower grower;
    private final Others others;
    private final CustomerWriter writers;
    private final ChoiceBook choices;
    private final EvidenceLog log;
    private final CastingLocks locks;

    /**
     * One as it was shown.
     *
     * @param no its place among those of the visit, from 1
     */
    public record Version(UUID id, int no, ShownEstimate shown, UUID by, Instant at) {
        /** The same for two that ask the same of a customer. */
        public String mark() {
            return Estimates.mark(shown);
        }
    }

    /** Empty as long as the shop has said no prices. */
    @Transactional(readOnly = true)
    public Optional<Grower.Grown> now(PartFile part) {
        return prices.now()
                .map(v ->
                        grower.grow(v.list(), part, said(part, v.list().rules().currency())));
    }

    private Estimate.Said said(PartFile part, CurrencyUnit in) {
        Map<String, Estimate.Stand> stands = new HashMap<>();
        Map<String, Money> quoted = new HashMap<>();
        for (EstimateSaidRow row :
                log.ofVisit(EstimateSaidRow.class, part.visit().id())) {
            stands.put(row.key(), row.stand());
            quoted.remove(row.key());
            row.quoted(in).ifPresent(q -> quoted.put(row.key(), q));
        }
        return new Estimate.Said(stands, quoted);
    }

    /**
     * Says how a line stands and what it comes to in this job.
     *
     * @param amount empty for the list's own price
     * @throws BadInputException for what is no amount, and for a line that is not there any more
     */
    public void say(PartFile part, UUID id, String key, Estimate.Stand stand, String amount, UUID by) {
        part.requireHere("stand", "to say what it comes to");
        if (!locks.first(part, id)) {
            return;
        }
        Grower.Grown grown = now(part).orElseThrow(Estimates::noPrices);
        Problems problems = new Problems();
        problems.require(
                key.length() <= LONGEST_KEY
                        && grown.estimate().lines().stream()
                                .anyMatch(l -> l.key().equals(key)),
                "stand",
                "app.estimate.that-line-is-not-there-any-more");
        problems.throwIfAny();
        Optional<Money> quoted =
                Amounts.readIfAny(amount, grown.estimate().rules().currency(), "amount");
        log.add(new EstimateSaidRow(id, part.visit().id(), key, stand, quoted, by));
    }

    /** As a customer is shown it. */
    @Transactional(readOnly = true)
    public ShownEstimate toShow(PartFile part, Grower.Grown grown) {
        LengthWriter writer = writers.of(part);
        return ShownEstimate.of(
                grown.estimate(), grown.risks(), others.compared(part, grown, 0), m -> Words.of(m, writer));
    }

    /** The same for two that ask the same of a customer. */
    static String mark(ShownEstimate shown) {
        return Sha256.of(shown.asks().getBytes(StandardCharsets.UTF_8));
    }

    static BadInputException noPrices() {
        return new BadInputException("amount", "app.estimate.the-shop-has-said-no-prices");
    }

    /** Every one that was shown, the first first. */
    @Transactional(readOnly = true)
    public List<Version> shown(PartFile part) {
        List<Version> all = new ArrayList<>();
        for (EstimateShownRow row :
                log.ofVisit(EstimateShownRow.class, part.visit().id())) {
            all.add(new Version(row.id(), all.size() + 1, row.shown(), row.by(), row.at()));
        }
        return all;
    }

    /**
     * Keeps the estimate as it stands; the last one, where nothing of it is different.
     *
     * @return the one that now stands
     */
    public Version show(PartFile part, UUID by) {
        ShownEstimate now = toShow(part, now(part).orElseThrow(Estimates::noPrices));
        List<Version> before = shown(part);
        Optional<Version> same =
                before.stream().reduce((a, b) -> b).filter(v -> v.shown().equals(now));
        return same.orElseGet(() -> {
            EstimateShownRow row =
                    log.add(new EstimateShownRow(UUID.randomUUID(), part.visit().id(), now, by));
            return new Version(row.id(), before.size() + 1, now, by, row.at());
        });
    }

    /**
     * Keeps what the customer is shown, and holds work back until there is a choice.
     *
     * @throws BadInputException for a casting that left, and where the shop has said no prices
     */
    public void ask(PartFile part, UUID id, Finding why, UUID by) {
        locks.take(part);
        if (!locks.kept(id)) {
            show(part, by);
            choices.ask(part, id, why, by);
        }
    }

    /**
     * Keeps it as it stands, and asks where nobody did: for whoever has the casting's turn.
     *
     * @throws BadInputException for a casting that left, and where the shop has said no prices
     */
    public Version asked(PartFile part, UUID by) {
        Version version = show(part, by);
        if (!choices.open(List.of(part.visit().id())).containsKey(part.visit().id())) {
            choices.ask(part, UUID.randomUUID(), Finding.CHOICE_ASKED, by);
        }
        return version;
    }

    /**
     * A choice as it is keyed.
     *
     * @param mark of the estimate that it was keyed beside
     * @param known choices that stood beside it
     */
    public record Keyed(Choice choice, Choice.By means, String who, String upTo, String words, String mark, int known) {
        static final Keyed NOTHING = new Keyed(Choice.GO_ON, Choice.By.IN_PERSON, "", "", "", "", 0);
    }

    /**
     * Notes what the customer chose, of the estimate as it stands.
     *
     * @throws BadInputException for what cannot be, and where somebody else noted a choice or the estimate became another since
     */
    public void choose(PartFile part, UUID id, Keyed keyed, UUID by) {
        choices.choose(part, id, p -> said(p, keyed, by), by);
    }

    private ChoiceBook.Said said(PartFile part, Keyed keyed, UUID by) {
        UUID visit = part.visit().id();
        List<ChoiceBook.Made> made = choices.made(List.of(visit)).getOrDefault(visit, List.of());
        if (made.size() != keyed.known()) {
            throw new BadInputException("choice", "app.estimate.somebody-noted-another-choice");
        }
        ShownEstimate now = toShow(part, now(part).orElseThrow(Estimates::noPrices));
        if (!mark(now).equals(keyed.mark())) {
            throw new BadInputException("choice", "app.estimate.it-comes-to-something-else-by-now", now.fixed());
        }
        Optional<Money> most = Amounts.readIfAny(keyed.upTo(), CurrencyUnit.of(now.currency()), "upTo")
                .filter(m -> keyed.choice().goesOn());
        Agreed agreed = Agreed.keyed(now, most);
        return new ChoiceBook.Said(
                show(part, by).id(),
                keyed.choice(),
                keyed.means(),
                agreed.upTo().map(Money::getAmount),
                keyed.who().strip(),
                keyed.words().strip());
    }

    /** What was agreed last; empty before a choice, and after one that work does not go on. */
    @Transactional(readOnly = true)
    public Optional<Agreed> agreed(PartFile part) {
        UUID visit = part.visit().id();
        return choices.made(List.of(visit)).getOrDefault(visit, List.of()).stream()
                .reduce((a, b) -> b)
                .map(ChoiceBook.Made::said)
                .filter(s -> s.choice().goesOn())
                .flatMap(s -> shown(part).stream()
                        .filter(v -> v.id().equals(s.shown()))
                        .findFirst()
                        .map(v -> new Agreed(
                                v.shown(),
                                s.upTo()
                                        .map(u -> Money.of(
                                                CurrencyUnit.of(v.shown().currency()), u, RoundingMode.HALF_UP)))));
    }
}
