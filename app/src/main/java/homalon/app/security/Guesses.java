package homalon.app.security;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing: after five wrong tries a subject waits a minute, and twice as long for every further one, up to a
 * quarter of an hour. Kept in the database, so that a restart or a second instance gives no fresh tries.
 */
@Service
public class Guesses {
    private static final int FREE_TRIES = 5;
    private static final Duration FORGET = Duration.ofMinutes(15);

    private final JdbcClient jdbc;
    private final Clock clock;

    Guesses(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** True while any of the subjects has to wait. */
    @Transactional(readOnly = true)
    public boolean mustWait(List<String> subjects) {
        return jdbc.sql("select count(*) from guess where subject in (:subjects) and blocked_until > :now")
                        .param("subjects", subjects)
                        .param("now", Timestamp.from(clock.instant()))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void wrong(List<String> subjects) {
        Instant now = clock.instant();
        for (String subject : subjects) {
            int failures = jdbc.sql("""
                            insert into guess (subject, failures, first_at) values (:subject, 1, :now)
                            on conflict (subject) do update set
                              failures = case when guess.first_at < :forget
                                and coalesce(guess.blocked_until, :forget) <= :forget then 1 else guess.failures + 1 end,
                              first_at = case when guess.first_at < :forget then :now else guess.first_at end
                            returning failures
                            """)
                    .param("subject", subject)
                    .param("now", Timestamp.from(now))
                    .param("forget", Timestamp.from(now.minus(FORGET)))
                    .query(Integer.class)
                    .single();
            if (failures >= FREE_TRIES) {
                long minutes = Math.min(15, 1L << Math.min(4, failures - FREE_TRIES));
                jdbc.sql("update guess set blocked_until = :until where subject = :subject")
                        .param("subject", subject)
                        .param("until", Timestamp.from(now.plus(Duration.ofMinutes(minutes))))
                        .update();
            }
        }
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void right(String subject) {
        jdbc.sql("delete from guess where subject = :subject")
                .param("subject", subject)
                .update();
    }
}
