package homalon.app.shop.prices;

import homalon.app.foundation.store.EvidenceLog;
import homalon.core.input.BadInputException;
import homalon.core.money.AskPoint;
import homalon.core.money.Price;
import homalon.core.money.PriceForm;
import homalon.core.money.PriceList;
import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the shop asks. Whatever is changed is a version of its own. */
@Service
@Transactional
@RequiredArgsConstructor
public class PriceBook {
    private static final int MOST_LINES = 400;

    private final EntityManager entities;
    private final EvidenceLog log;
    private final SumsInUse sums;

    /**
     * A version of it.
     *
     * @param number its place among all
     */
    public record Version(UUID id, long number, PriceList list, UUID by, Instant at) {}

    /** Empty as long as the shop has said nothing. */
    @Transactional(readOnly = true)
    public Optional<Version> now() {
        return last(1).stream().findFirst();
    }

    /** The last ones, the last first. */
    @Transactional(readOnly = true)
    public List<Version> last(int many) {
        return entities
                .createQuery("from PriceListRow order by seq desc", PriceListRow.class)
                .setMaxResults(many)
                .getResultList()
                .stream()
                .map(r -> new Version(r.id(), r.seq(), r.list(), r.by(), r.at()))
                .toList();
    }

    /**
     * @return whether that is anything new
     * @throws BadInputException for what cannot be, and for another currency while sums stand in this one
     */
    public boolean use(PriceForm form, Set<AskPoint> asks, UUID by) {
        Optional<PriceList> before = now().map(Version::list);
        PriceList wanted =
                form.read(before.map(PriceList::prices).orElse(List.of())).asking(asks);
        before.map(b -> b.rules().currency())
                .filter(c -> !c.equals(wanted.rules().currency()))
                .ifPresent(c -> {
                    List<String> open = sums.in(c);
                    if (!open.isEmpty()) {
                        throw new BadInputException(
                                "currency",
                                "app.prices.sums-stand-in-that-currency",
                                String.join(", ", open),
                                c.getCode());
                    }
                });
        return use(wanted, before, by);
    }

    /** One more line; one that is meant for the same castings takes its place. */
    public boolean add(Price price, UUID by) {
        return lines(
                all -> {
                    all.removeIf(p -> same(p, price));
                    all.add(price);
                },
                by);
    }

    private static boolean same(Price one, Price other) {
        return one.operation() == other.operation()
                && one.metal().equals(other.metal())
                && one.from() == other.from()
                && one.to() == other.to();
    }

    public boolean drop(Price price, UUID by) {
        return lines(all -> all.remove(price), by);
    }

    /** All of them anew. */
    public boolean use(List<Price> prices, UUID by) {
        return lines(
                all -> {
                    all.clear();
                    all.addAll(prices);
                },
                by);
    }

    /** What is done to the lines of the list. */
    private interface Change {
        void of(List<Price> lines);
    }

    private boolean lines(Change change, UUID by) {
        PriceList before = now().map(Version::list)
                .orElseThrow(() -> new BadInputException("each", "app.prices.say-first-how-money-is-counted"));
        List<Price> lines = new ArrayList<>(before.prices());
        change.of(lines);
        if (lines.size() > MOST_LINES) {
            throw new BadInputException("each", "app.prices.a-list-has-at-most-lines", MOST_LINES);
        }
        return use(before.with(lines), Optional.of(before), by);
    }

    private boolean use(PriceList wanted, Optional<PriceList> before, UUID by) {
        boolean changed = before.filter(wanted::equals).isEmpty();
        if (changed) {
            log.add(new PriceListRow(wanted, by));
        }
        return changed;
    }
}
