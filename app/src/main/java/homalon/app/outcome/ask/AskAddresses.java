package homalon.app.outcome.ask;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.customer.ForgetsCustomer;
import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.people.RandomTokens;
import homalon.app.outcome.estimate.Estimates;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Addresses under which customers see an estimate: each is told once, holds for a while, and can be taken back. */
@Service
@Transactional
@RequiredArgsConstructor
class AskAddresses implements ForgetsCustomer {
    private static final Duration HOLDS = Duration.ofDays(14);
    private static final int MOST = 20;

    private final CustomerPageRepository pages;
    private final SentMailRepository mail;
    private final Estimates estimates;
    private final ChoiceBook choices;
    private final Telling telling;
    private final CastingLocks locks;
    private final Clock clock;

    /** How an address stands. */
    enum State {
        OPEN,
        /** Something was chosen since: it is read only. */
        CHOSEN,
        EXPIRED,
        /** Taken back by the shop, or the visit is over. */
        GONE
    }

    /**
     * What stands under an address.
     *
     * @param shown the estimate
     * @param chosen what was chosen since it was made, the last
     * @param known choices of this visit
     */
    record Page(
            UUID id,
            UUID visit,
            State state,
            Told told,
            Estimates.Version shown,
            Optional<ChoiceBook.Made> chosen,
            int known,
            UUID madeBy) {}

    /** An address without its secret. */
    record Made(UUID id, int version, State state, UUID by, Instant at, Instant until, int opened) {}

    /**
     * Keeps the estimate as it stands, asks, and makes an address for it.
     *
     * @return the secret part of the address, told only now
     * @throws BadInputException for a casting that left, where the shop has said no prices, and for too many addresses
     */
    public Optional<String> make(PartFile part, UUID id, UUID by) {
        part.requireHere("page", "to ask its customer");
        if (!locks.first(part, id)) {
            return Optional.empty();
        }
        UUID visit = part.visit().id();
        if (pages.findByVisitOrderByMadeAtDesc(visit).size() >= MOST) {
            throw new BadInputException("page", "app.ask.enough-addresses-of-one-visit", MOST);
        }
        Estimates.Version shown = estimates.asked(part, by);
        String token = RandomTokens.newToken();
        Instant now = clock.instant();
        pages.saveAndFlush(new CustomerPageRow(
                        UUID.randomUUID(),
                        visit,
                        shown.id(),
                        RandomTokens.hash(token),
                        JsonMapper.shared().writeValueAsString(telling.of(part)))
                .made(by, now, now.plus(HOLDS)));
        return Optional.of(token);
    }

    /** Nobody sees anything under it any more. */
    public void takeBack(PartFile part, UUID page) {
        pages.findById(page)
                .filter(p -> p.visit.equals(part.visit().id()) && p.revokedAt == null)
                .ifPresent(p -> p.revokedAt = clock.instant());
    }

    /** Of a visit, the last first. */
    @Transactional(readOnly = true)
    public List<Made> of(PartFile part) {
        List<Estimates.Version> versions = estimates.shown(part);
        List<ChoiceBook.Made> made = made(part.visit().id());
        return pages.findByVisitOrderByMadeAtDesc(part.visit().id()).stream()
                .map(p -> new Made(
                        p.id,
                        version(versions, p).map(Estimates.Version::no).orElse(0),
                        state(p, part.visit().releasedAt(), since(made, p)),
                        p.madeBy,
                        p.madeAt,
                        p.expiresAt,
                        p.opened))
                .toList();
    }

    private List<ChoiceBook.Made> made(UUID visit) {
        return choices.made(List.of(visit)).getOrDefault(visit, List.of());
    }

    private static Optional<Estimates.Version> version(List<Estimates.Version> versions, CustomerPageRow page) {
        return versions.stream().filter(v -> v.id().equals(page.shown)).findFirst();
    }

    private static Optional<ChoiceBook.Made> since(List<ChoiceBook.Made> made, CustomerPageRow page) {
        return made.stream().filter(m -> !m.at().isBefore(page.madeAt)).reduce((a, b) -> b);
    }

    private State state(CustomerPageRow page, Optional<Instant> released, Optional<ChoiceBook.Made> chosen) {
        if (page.revokedAt != null || released.isPresent() || page.told.isEmpty()) {
            return State.GONE;
        }
        if (!clock.instant().isBefore(page.expiresAt)) {
            return State.EXPIRED;
        }
        return chosen.isPresent() ? State.CHOSEN : State.OPEN;
    }

    /** What stands under an address; empty for one that never was. Looking does not count yet. */
    @Transactional(readOnly = true)
    public Optional<Page> at(String token) {
        return pages.findByTokenHash(RandomTokens.hash(token))
                .flatMap(p -> telling.visit(p.visit).flatMap(part -> {
                    List<ChoiceBook.Made> made = made(p.visit);
                    Optional<ChoiceBook.Made> chosen = since(made, p);
                    State state = state(p, part.visit().releasedAt(), chosen);
                    return version(estimates.shown(part), p)
                            .map(v -> new Page(p.id, p.visit, state, told(p), v, chosen, made.size(), p.madeBy));
                }));
    }

    private static Told told(CustomerPageRow page) {
        return page.told.isEmpty()
                ? new Told("", List.of(), "", "", List.of(), List.of(), "", List.of())
                : JsonMapper.shared().readValue(page.told, Told.class);
    }

    public void looked(Page page) {
        pages.opened(page.id(), clock.instant());
    }

    /**
     * A choice as it was made on the page.
     *
     * @throws BadInputException in words for whoever looks at it
     */
    public void choose(Page page, UUID id, Estimates.Keyed keyed) {
        PartFile part = telling.visit(page.visit())
                .orElseThrow(() -> new BadInputException("choice", "app.ask.nothing-is-chosen-here-any-more"));
        if (page.state() != State.OPEN) {
            throw new BadInputException("choice", "app.ask.nothing-is-chosen-here-any-more");
        }
        estimates.choose(part, id, keyed, page.madeBy());
    }

    @Override
    public void forget(UUID customer) {
        pages.forget(customer, clock.instant());
        mail.forget(customer);
    }
}
