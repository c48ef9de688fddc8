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
 * Slows down guessing: after some wrong tries a subject waits a minute, and twice as long for every further one, up to a
 * quarter of an hour. Kept in the database, so that a restart or a second instance gives no fresh tries.
 */
@Service
public class Guesses {
    private static final Duration FORGET = Duration.ofMinutes(15);

    private final JdbcClient jdbc;
    private final Clock clock;

    Guesses(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * What is guessed at, or from where.
     *
     * @param freeTries before it has to wait
     */
    public record Subject(String key, int freeTries) {
        private static final int ONE_SECRET = 5;
        /** A whole shop may sit behind one address. */
        private static final int ONE_ADDRESS = 40;

        /** A login, a person's PIN, a device. */
        public static Subject secret(String key) {
            return new Subject(key, ONE_SECRET);
        }

        public static Subject address(String key) {
            return new Subject(key, ONE_ADDRESS);
        }
    }

    /** True while any of the subjects has to wait. */
    @Transactional(readOnly = true)
    public boolean mustWait(List<Subject> subjects) {
        return jdbc.sql("select count(*) from guess where subject in (:subjects) and blocked_until > :now")
                        .param("subjects", subjects.stream().map(Subject::key).toList())
                        .param("now", Timestamp.from(clock.instant()))
                        .query(Integer.class)
                        .single()
                > 0;
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void wrong(List<Subject> subjects) {
        Instant now = clock.instant();
        for (Subject subject : subjects) {
            int failures = jdbc.sql("""
                            insert into guess (subject, failures, first_at) values (:subject, 1, :now)
                            on conflict (subject) do update set
                              failures = case when guess.first_at < :forget
                                and coalesce(guess.blocked_until, :forget) <= :forget then 1 else guess.failures + 1 end,
                              first_at = case when guess.first_at < :forget then :now else guess.first_at end
                            returning failures
                            """)
                    .param("subject", subject.key())
                    .param("now", Timestamp.from(now))
                    .param("forget", Timestamp.from(now.minus(FORGET)))
                    .query(Integer.class)
                    .single();
            if (failures >= subject.freeTries()) {
                long minutes = Math.min(15, 1L << Math.min(4, failures - subject.freeTries()));
                jdbc.sql("update guess set blocked_until = :until where subject = :subject")
                        .param("subject", subject.key())
                        .param("until", Timestamp.from(now.plus(Duration.ofMinutes(minutes))))
                        .update();
            }
        }
    }

    /** An owner lets everybody try again at once. */
    @Transactional
    public void lift() {
        jdbc.sql("delete from guess").update();
    }

    /** Who has to wait now, such as {@code login:ines}. */
    @Transactional(readOnly = true)
    public List<String> waiting() {
        return jdbc.sql("select subject from guess where blocked_until > :now order by subject")
                .param("now", Timestamp.from(clock.instant()))
                .query(String.class)
                .list();
    }

    @Transactional(propagation = Propagation.REQUIRES_NEW)
    public void right(Subject subject) {
        jdbc.sql("delete from guess where subject = :subject")
                .param("subject", subject.key())
                .update();
    }
}
