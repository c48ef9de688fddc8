package homalon.app.foundation.security;

import io.github.bucket4j.Bucket;
import io.github.bucket4j.BucketConfiguration;
import io.github.bucket4j.ConsumptionProbe;
import io.github.bucket4j.TimeMeter;
import io.github.bucket4j.distributed.ExpirationAfterWriteStrategy;
import io.github.bucket4j.distributed.jdbc.PrimaryKeyMapper;
import io.github.bucket4j.postgresql.Bucket4jPostgreSQL;
import io.github.bucket4j.postgresql.PostgreSQLSelectForUpdateBasedProxyManager;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.concurrent.TimeUnit;
import javax.sql.DataSource;
import org.springframework.data.domain.Limit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Slows down guessing. Each try takes one from the bucket of every subject that it concerns, before it is looked at, so that
 * many at once count as many; a right one gives them back. Kept in the database, so that a restart or a second instance gives no
 * fresh tries.
 */
@Service
public class LoginThrottle {
    /** More than a person would read. */
    private static final int SHOWN = 50;

    private final PostgreSQLSelectForUpdateBasedProxyManager<String> buckets;
    private final ThrottleBucketRepository rows;
    private final Clock clock;

    LoginThrottle(DataSource store, ThrottleBucketRepository rows, Clock clock) {
        this.rows = rows;
        this.clock = clock;
        this.buckets = Bucket4jPostgreSQL.selectForUpdateBasedBuilder(store)
                .primaryKeyMapper(PrimaryKeyMapper.STRING)
                .table("try_bucket")
                .idColumn("subject")
                .clientClock(wall(clock))
                .expirationAfterWrite(
                        ExpirationAfterWriteStrategy.basedOnTimeForRefillingBucketUpToMax(Duration.ofMinutes(1)))
                .build();
    }

    /**
     * What is guessed at, or from where.
     *
     * @param proved whether a right try says all about it, so that it has all its tries again
     */
    public record Subject(String key, Limits limits, boolean proved) {
        /** A login, a person's PIN, a code. */
        public static Subject secret(String key) {
            return new Subject(key, Limits.ONE_SECRET, true);
        }

        /** At which several people key their secrets. */
        public static Subject device(String key) {
            return new Subject(key, Limits.ONE_SECRET, false);
        }

        public static Subject address(String key) {
            return new Subject(key, Limits.ONE_ADDRESS, false);
        }
    }

    /** A secret takes a hundred wrong tries on its first day, the most that NIST SP 800-63B allows in a row, and eighty on others. */
    enum Limits {
        /** Five at once, then one a minute, and after twenty one in eighteen minutes. */
        ONE_SECRET(BucketConfiguration.builder()
                .addLimit(l -> l.capacity(5).refillGreedy(5, Duration.ofMinutes(5)))
                .addLimit(l -> l.capacity(20).refillGreedy(20, Duration.ofHours(6)))
                .build()),
        /** A whole shop may sit behind one address. */
        ONE_ADDRESS(BucketConfiguration.builder()
                .addLimit(l -> l.capacity(40).refillGreedy(40, Duration.ofMinutes(40)))
                .build());

        private final BucketConfiguration configuration;

        Limits(BucketConfiguration configuration) {
            this.configuration = configuration;
        }
    }

    /**
     * Takes a try of each; takes none where one of them has to wait.
     *
     * @return the wait in begun minutes, 0 where there is none
     */
    public int take(List<Subject> subjects) {
        for (int i = 0; i < subjects.size(); i++) {
            ConsumptionProbe answer = bucket(subjects.get(i)).tryConsumeAndReturnRemaining(1);
            if (!answer.isConsumed()) {
                subjects.subList(0, i).forEach(taken -> bucket(taken).addTokens(1));
                return (int) Math.ceil(answer.getNanosToWaitForRefill() / 60e9);
            }
        }
        return 0;
    }

    /** The beginning of a sentence, such as <i>Too many wrong tries: wait 3 minutes</i>. */
    public static String told(int minutes) {
        return "Too many wrong tries: wait " + (minutes == 1 ? "a minute" : minutes + " minutes");
    }

    /** The try was right: what was proved has all its tries again; a place gets back the one that was taken, for others use it too. */
    public void right(List<Subject> subjects) {
        for (Subject subject : subjects) {
            if (subject.proved()) {
                buckets.removeProxy(subject.key());
            } else {
                bucket(subject).addTokens(1);
            }
        }
    }

    /** An owner lets everybody try again at once. */
    @Transactional
    public void lift() {
        rows.deleteAllInBatch();
    }

    /** Who has to wait now, such as {@code login:ines}; the first fifty of them. */
    @Transactional(readOnly = true)
    public List<String> waiting() {
        return rows.used(clock.millis(), Limit.of(4 * SHOWN)).stream()
                .filter(key -> buckets.getProxyConfiguration(key)
                        .filter(limits -> buckets.getProxy(key, () -> limits).getAvailableTokens() < 1)
                        .isPresent())
                .limit(SHOWN)
                .sorted()
                .toList();
    }

    /** A bucket that is full again needs no row. */
    @Scheduled(fixedDelay = 10, initialDelay = 10, timeUnit = TimeUnit.MINUTES)
    void forget() {
        while (buckets.removeExpired(500) == 500) {
            // The rest in the next round: a lock on few rows at a time.
        }
    }

    private Bucket bucket(Subject subject) {
        return buckets.getProxy(subject.key(), () -> subject.limits().configuration);
    }

    private static TimeMeter wall(Clock clock) {
        return new TimeMeter() {
            @Override
            public long currentTimeNanos() {
                return TimeUnit.MILLISECONDS.toNanos(clock.millis());
            }

            @Override
            public boolean isWallClockBased() {
                return true;
            }
        };
    }
}
