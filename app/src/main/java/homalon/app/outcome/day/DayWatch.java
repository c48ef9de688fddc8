package homalon.app.outcome.day;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks every few seconds whether the plan still follows from what is written, behind whatever else goes on. */
@Component
class DayWatch {
    private static final Logger LOG = LoggerFactory.getLogger(DayWatch.class);
    private static final int EVERY = 5_000;

    private final DayPlans plans;
    private final boolean byItself;
    private final AtomicBoolean looking = new AtomicBoolean();
    private final ExecutorService behind = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "bench-day");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    /** @param byItself false where only a hand plans anew, as in tests that count what is asked of the database */
    DayWatch(DayPlans plans, @Value("${homalon.day.by-itself:true}") boolean byItself) {
        this.plans = plans;
        this.byItself = byItself;
    }

    @Scheduled(fixedDelay = EVERY, initialDelay = EVERY)
    void tick() {
        if (byItself && looking.compareAndSet(false, true)) {
            behind.execute(this::look);
        }
    }

    private void look() {
        try {
            plans.look();
        } catch (RuntimeException e) {
            // The old plan is kept; the next look tries again.
            LOG.warn("the bench day was not planned", e);
        } finally {
            looking.set(false);
        }
    }
}
