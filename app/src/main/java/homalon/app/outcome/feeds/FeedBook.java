package homalon.app.outcome.feeds;

import homalon.app.foundation.people.People;
import homalon.app.foundation.people.RandomTokens;
import homalon.core.input.BadInputException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Addresses for calendars: each is told once, when it is made, and holds until whoever made it takes it back or leaves the shop. */
@Service
@Transactional
@RequiredArgsConstructor
class FeedBook {
    private static final int MOST = 10;

    private final FeedRepository feeds;
    private final People people;
    private final Clock clock;

    /** @param person whose day it has; empty for the days on which castings are due */
    record Feed(UUID id, Optional<UUID> person, Instant madeAt) {}

    @Transactional(readOnly = true)
    public List<Feed> of(UUID by) {
        return feeds.findByMadeByAndRevokedAtIsNullOrderByMadeAt(by).stream()
                .map(FeedBook::feed)
                .toList();
    }

    private static Feed feed(FeedRow row) {
        return new Feed(row.id, Optional.ofNullable(row.person), row.madeAt);
    }

    /**
     * @return the secret part of the address
     * @throws BadInputException when somebody has too many
     */
    public String make(Optional<UUID> person, UUID by) {
        if (of(by).size() >= MOST) {
            throw new BadInputException("of", "app.feeds.take-one-back-first", MOST);
        }
        String token = RandomTokens.newToken();
        feeds.save(new FeedRow(person, RandomTokens.hash(token), by, clock.instant()));
        return token;
    }

    /** One's own; another's stays. */
    public void takeBack(UUID id, UUID by) {
        feeds.findById(id)
                .filter(f -> f.madeBy.equals(by) && f.revokedAt == null)
                .ifPresent(f -> f.revokedAt = clock.instant());
    }

    /** Empty for an address that is none, or none any more. */
    @Transactional(readOnly = true)
    public Optional<Feed> at(String token) {
        return feeds.findByTokenHashAndRevokedAtIsNull(RandomTokens.hash(token))
                .filter(f -> people.all().stream().anyMatch(p -> p.id().equals(f.madeBy)))
                .map(FeedBook::feed);
    }
}
