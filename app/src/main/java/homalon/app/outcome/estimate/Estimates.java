package homalon.app.outcome.estimate;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.words.Words;
import homalon.app.shop.prices.PriceBook;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import homalon.core.money.Amounts;
import homalon.core.money.Estimate;
import homalon.core.money.ShownEstimate;
import homalon.core.visit.PartFile;
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
class Estimates {
    private static final int LONGEST_KEY = 60;

    private final PriceBook prices;
    private final Grower grower;
    private final EvidenceLog log;
    private final CastingLocks locks;

    /**
     * One as it was shown.
     *
     * @param no its place among those of the visit, from 1
     */
    record Version(UUID id, int no, ShownEstimate shown, UUID by, Instant at) {}

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
        ShownEstimate now = now(part).orElseThrow(Estimates::noPrices).shown();
        List<Version> before = shown(part);
        Optional<Version> same =
                before.stream().reduce((a, b) -> b).filter(v -> v.shown().equals(now));
        return same.orElseGet(() -> {
            EstimateShownRow row =
                    log.add(new EstimateShownRow(UUID.randomUUID(), part.visit().id(), now, by));
            return new Version(row.id(), before.size() + 1, now, by, row.at());
        });
    }

    static String words(homalon.core.words.Message message) {
        return Words.of(message);
    }
}
