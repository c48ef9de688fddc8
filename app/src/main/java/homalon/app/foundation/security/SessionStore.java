package homalon.app.foundation.security;

import jakarta.servlet.Filter;
import java.time.Duration;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.web.servlet.FilterRegistrationBean;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.annotation.Primary;
import org.springframework.session.config.SessionRepositoryCustomizer;
import org.springframework.session.jdbc.JdbcIndexedSessionRepository;
import org.springframework.session.jdbc.config.annotation.web.http.EnableJdbcHttpSession;
import org.springframework.session.web.http.SessionRepositoryFilter;
import org.springframework.transaction.support.TransactionOperations;

/** Sessions live in the database, so that a restart signs nobody out; they end some time after they were last used. */
@Configuration
@EnableJdbcHttpSession
class SessionStore {
    /** One statement each: a transaction around it would be another way to the database and back. */
    @Bean
    TransactionOperations springSessionTransactionOperations() {
        return TransactionOperations.withoutTransaction();
    }

    @Bean
    SessionRepositoryCustomizer<JdbcIndexedSessionRepository> howLong(
            @Value("${homalon.session.unused}") Duration unused) {
        return sessions -> sessions.setDefaultMaxInactiveInterval(unused);
    }

    @Bean
    @Primary
    BatchedSessionRepository<?> quietSessions(JdbcIndexedSessionRepository stored) {
        return new BatchedSessionRepository<>(stored);
    }

    @Bean
    FilterRegistrationBean<Filter> aroundSessions(BatchedSessionRepository<?> sessions) {
        FilterRegistrationBean<Filter> around = new FilterRegistrationBean<>(sessions.new Around());
        around.setOrder(SessionRepositoryFilter.DEFAULT_ORDER - 1);
        return around;
    }
}
