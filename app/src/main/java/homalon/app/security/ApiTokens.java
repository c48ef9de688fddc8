package homalon.app.security;

import homalon.app.people.Secrets;
import homalon.core.input.BadInputException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tokens with which the shop's own programs call the calculation interface; issued and revoked by the owner. */
@Service
@Transactional
public class ApiTokens {
    private final JdbcClient jdbc;
    private final Clock clock;

    ApiTokens(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** A token that works; the secret itself is not kept. */
    public record Token(UUID id, String name, Instant issuedAt) {}

    /** @return the secret, to be shown once */
    public String issue(String name, UUID owner) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("tokenName", "Name the program that will use it, such as Gauge PC.");
        }
        String secret = Secrets.newToken();
        jdbc.sql("insert into api_token (id, name, token_hash, issued_by, issued_at) values (?, ?, ?, ?, ?)")
                .params(UUID.randomUUID(), tidy, Secrets.hash(secret), owner, Timestamp.from(clock.instant()))
                .update();
        return secret;
    }

    public void revoke(UUID id) {
        jdbc.sql("update api_token set revoked_at = ? where id = ? and revoked_at is null")
                .params(Timestamp.from(clock.instant()), id)
                .update();
    }

    @Transactional(readOnly = true)
    public List<Token> inForce() {
        return jdbc.sql("select id, name, issued_at from api_token where revoked_at is null order by issued_at")
                .query((rs, i) -> new Token(
                        rs.getObject(1, UUID.class),
                        rs.getString(2),
                        rs.getTimestamp(3).toInstant()))
                .list();
    }

    @Transactional(readOnly = true)
    public Optional<String> nameOf(String secret) {
        return jdbc.sql("select name from api_token where token_hash = ? and revoked_at is null")
                .param(Secrets.hash(secret))
                .query(String.class)
                .optional();
    }
}
