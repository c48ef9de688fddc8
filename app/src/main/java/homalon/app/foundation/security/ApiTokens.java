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

/** Tokens with which the shop's own programs call the calculation interface; issued and revoked by the owner. */
@Service
@Transactional
@RequiredArgsConstructor
public class ApiTokens {
    private final ApiTokenRepository tokens;
    private final Clock clock;

    /** A token that works; the secret itself is not kept. */
    public record Token(UUID id, String name, Instant issuedAt) {}

    /** @return the secret, to be shown once */
    public String issue(String name, UUID owner) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("tokenName", "app.security.name-the-program-that-will-use-it-such");
        }
        String secret = RandomTokens.newToken();
        tokens.save(new ApiTokenRow(tidy, RandomTokens.hash(secret), owner, clock.instant()));
        return secret;
    }

    public void revoke(UUID id) {
        tokens.findById(id).filter(t -> t.revokedAt == null).ifPresent(t -> t.revokedAt = clock.instant());
    }

    @Transactional(readOnly = true)
    public List<Token> inForce() {
        return tokens.findByRevokedAtIsNullOrderByIssuedAt().stream()
                .map(t -> new Token(t.id, t.name, t.issuedAt))
                .toList();
    }

    @Transactional(readOnly = true)
    public Optional<String> nameOf(String secret) {
        return tokens.findByHashAndRevokedAtIsNull(RandomTokens.hash(secret)).map(t -> t.name);
    }
}
