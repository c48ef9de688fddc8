package homalon.app.foundation.security;

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

/** Tokens with which the shop's own programs call the interface for programs; issued and revoked by the owner. */
@Service
@Transactional
@RequiredArgsConstructor
public class ApiTokens {
    private final ApiTokenRepository tokens;
    private final Clock clock;

    /**
     * A token that works; the secret itself is not kept.
     *
     * @param writesFor whoever answers for what it writes; empty for one that reads only
     */
    public record Token(UUID id, String name, Instant issuedAt, Optional<UUID> writesFor) {}

    /**
     * @param writesFor whoever answers for what it writes; empty for one that reads only
     * @return the secret, to be shown once
     */
    public String issue(String name, Optional<UUID> writesFor, UUID owner) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("tokenName", "app.security.name-the-program-that-will-use-it-such");
        }
        String secret = RandomTokens.newToken();
        tokens.save(new ApiTokenRow(tidy, RandomTokens.hash(secret), owner, clock.instant(), writesFor.orElse(null)));
        return secret;
    }

    public void revoke(UUID id) {
        tokens.findById(id).filter(t -> t.revokedAt == null).ifPresent(t -> t.revokedAt = clock.instant());
    }

    @Transactional(readOnly = true)
    public List<Token> inForce() {
        return tokens.findByRevokedAtIsNullOrderByIssuedAt().stream()
                .map(ApiTokens::told)
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<Token> of(String secret) {
        return tokens.findByHashAndRevokedAtIsNull(RandomTokens.hash(secret)).map(ApiTokens::told);
    }

    private static Token told(ApiTokenRow t) {
        return new Token(t.id, t.name, t.issuedAt, Optional.ofNullable(t.writesFor));
    }
}
