package homalon.app.security;

import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.transaction.support.TransactionOperations;

/** Sessions live in the database; when one was last used is written once a minute and not at every request. */
@Configuration
class SessionStore {
    /** One statement each: a transaction around it would be another way to the database and back, three times a request. */
    @Bean
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    /** The same columns in the same order as the library's own statement; a row that is fresh enough is left alone. */
    private static final String UPDATE = """
            with fresh (session_id, used, most_idle, expiry, principal) as
              (values (cast(? as varchar), cast(? as bigint), cast(? as integer), cast(? as bigint), cast(? as varchar)))
            update spring_session s
            set session_id = fresh.session_id, last_access_time = fresh.used, max_inactive_interval = fresh.most_idle,
                expiry_time = fresh.expiry, principal_name = fresh.principal
            from fresh
            where s.primary_id = ?
              and (s.session_id <> fresh.session_id or s.max_inactive_interval <> fresh.most_idle
                or s.principal_name is distinct from fresh.principal or fresh.used - s.last_access_time > 60000)
            """;

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> usedOnceAMinute() {
        return sessions -> sessions.setUpdateSessionQuery(UPDATE);
    }
}
