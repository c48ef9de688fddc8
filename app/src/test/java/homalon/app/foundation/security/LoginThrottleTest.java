package homalon.app.foundation.security;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.foundation.security.LoginThrottle.Subject;
import homalon.app.testing.RunningShop;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.simple.JdbcClient;

/** How many wrong tries go through, at which time. */
@ExtendWith(RunningShop.class)
class LoginThrottleTest {
    private final RunningShop.Shop shop;
    private final Hand clock = new Hand();
    private LoginThrottle throttle;

    LoginThrottleTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @BeforeEach
    void made() {
        throttle = new LoginThrottle(shop.bean(DataSource.class), shop.bean(ThrottleBucketRepository.class), clock);
    }

    @ParameterizedTest
    @CsvSource({
        "1, 5, a burst",
        "60, 24, then one a minute until twenty are used",
        "360, 40, and one in eighteen minutes",
        "1440, 100, a hundred on the first day"
    })
    void aSecretLetsFewThrough(int minutes, int most, String why) {
        List<Subject> login = List.of(Subject.secret(fresh()));
        int through = 0;
        for (int minute = 0; minute < minutes; minute++) {
            for (int i = 0; i < 6; i++) {
                through += throttle.take(login) == 0 ? 1 : 0;
            }
            clock.on(Duration.ofMinutes(1));
        }
        assertTrue(through <= most && through >= most * 9 / 10, through + ": " + why);
    }

    @Test
    void theWaitIsTold() {
        List<Subject> login = List.of(Subject.secret(fresh()));
        IntStream.range(0, 5).forEach(i -> assertEquals(0, throttle.take(login)));
        assertEquals(1, throttle.take(login));
        clock.on(Duration.ofSeconds(59));
        assertEquals(1, throttle.take(login));
        clock.on(Duration.ofSeconds(1));
        assertEquals(0, throttle.take(login));
        for (int i = 0; i < 40; i++) {
            clock.on(Duration.ofMinutes(1));
            throttle.take(login);
        }
        int wait = throttle.take(login);
        assertTrue(wait > 10 && wait <= 18, "minutes: " + wait);
        assertEquals("Too many wrong tries: wait a minute", LoginThrottle.told(1));
        assertEquals("Too many wrong tries: wait 18 minutes", LoginThrottle.told(18));
    }

    /** Each counts once, however many come before the first is answered. */
    @Test
    void manyAtOnceAreCountedOneByOne() {
        List<Subject> login = List.of(Subject.secret(fresh()));
        assertEquals(
                5,
                IntStream.range(0, 24)
                        .parallel()
                        .filter(i -> throttle.take(login) == 0)
                        .count());
    }

    @Test
    void whoMustWaitTakesNothingFromTheOthers() {
        Subject address = Subject.address(fresh());
        List<Subject> shut = List.of(address, Subject.secret(fresh()));
        for (int i = 0; i < 100; i++) {
            throttle.take(shut);
        }
        assertEquals(
                35,
                IntStream.range(0, 100)
                        .filter(i -> throttle.take(List.of(address)) == 0)
                        .count());
    }

    @Test
    void aRightTryFreesWhatItProvedAndGivesThePlaceItsOneBack() {
        Subject login = Subject.secret(fresh());
        Subject device = Subject.device(fresh());
        for (int i = 0; i < 4; i++) {
            throttle.take(List.of(login, device));
        }
        assertEquals(0, throttle.take(List.of(login, device)));
        throttle.right(List.of(login, device));
        assertEquals(
                5,
                IntStream.range(0, 9)
                        .filter(i -> throttle.take(List.of(login)) == 0)
                        .count());
        assertEquals(
                1,
                IntStream.range(0, 9)
                        .filter(i -> throttle.take(List.of(device)) == 0)
                        .count());
    }

    @Test
    void whoMustWaitIsListedUntilTheOwnerLiftsIt() {
        Subject shut = Subject.secret(fresh());
        Subject tried = Subject.secret(fresh());
        throttle.take(List.of(tried));
        for (int i = 0; i < 6; i++) {
            throttle.take(List.of(shut));
        }
        assertTrue(throttle.waiting().contains(shut.key()));
        assertFalse(throttle.waiting().contains(tried.key()));
        throttle.lift();
        assertEquals(List.of(), throttle.waiting());
        assertEquals(0, throttle.take(List.of(shut)));
    }

    @Test
    void whatIsFullAgainIsForgotten() {
        ThrottleBucketRepository rows = shop.bean(ThrottleBucketRepository.class);
        Subject now = Subject.secret(fresh());
        Subject before = Subject.secret(fresh());
        throttle.take(List.of(now));
        throttle.take(List.of(before));
        shop.bean(JdbcClient.class)
                .sql("update try_bucket set expires_at = 1 where subject = ?")
                .param(before.key())
                .update();
        throttle.forget();
        List<String> left = rows.used(0, Limit.of(1000));
        assertTrue(left.contains(now.key()));
        assertFalse(left.contains(before.key()));
    }

    private static String fresh() {
        return "test:" + UUID.randomUUID();
    }

    private static final class Hand extends Clock {
        private Instant now = Instant.now();

        void on(Duration by) {
            now = now.plus(by);
        }

        @Override
        public Instant instant() {
            return now;
        }

        @Override
        public ZoneId getZone() {
            return ZoneOffset.UTC;
        }

        @Override
        public Clock withZone(ZoneId zone) {
            return this;
        }
    }
}
