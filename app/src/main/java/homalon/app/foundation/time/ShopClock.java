package homalon.app.foundation.time;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import org.springframework.stereotype.Component;

/**
 * System time, no finer than the database keeps it, so that what was just written equals what is read back. Whoever makes
 * sample data may set it back for its own thread, so that lives have a past.
 */
@Component
public class ShopClock extends Clock {
    private final ThreadLocal<Duration> back = ThreadLocal.withInitial(() -> Duration.ZERO);

    /** Does something as if it were a while ago. */
    public void ago(Duration howLong, Runnable work) {
        back.set(howLong);
        try {
            work.run();
        } finally {
            back.remove();
        }
    }

    /** For what this thread does from now on; zero puts it right again. */
    void setBack(Duration howLong) {
        if (howLong.isZero()) {
            back.remove();
        } else {
            back.set(howLong);
        }
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        return Clock.system(zone);
    }

    @Override
    public Instant instant() {
        return Instant.now().minus(back.get()).truncatedTo(ChronoUnit.MICROS);
    }
}
