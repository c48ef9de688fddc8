package homalon.app.outcome.plan;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicBoolean;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Looks every few seconds whether the plan still follows from what is written, behind whatever else goes on; and where it does, lets the solver
 * look for a better one, beside it.
 */
@Component
class DayWatch {
    private static final Logger LOG = LoggerFactory.getLogger(DayWatch.class);
    private static final int EVERY = 5_000;

    private final DayPlans plans;
    private final boolean byItself;
    private final Behind looking = new Behind("bench-day");
    private final Behind solving = new Behind("bench-solver");

    /** @param byItself false where only a hand plans anew, as in tests that count what is asked of the database */
    DayWatch(DayPlans plans, @Value("${homalon.day.by-itself:true}") boolean byItself) {
        this.plans = plans;
        this.byItself = byItself;
    }

    @Scheduled(fixedDelay = EVERY, initialDelay = EVERY)
    void tick() {
        if (byItself) {
            looking.once(() -> {
                if (!plans.look()) {
                    solving.once(plans::better);
                }
            });
        }
    }

    /** One thread, that does one thing at a time. */
    private static final class Behind {
        private final AtomicBoolean busy = new AtomicBoolean();
        private final ExecutorService thread;

        Behind(String name) {
            this.thread = Executors.newSingleThreadExecutor(work -> {
                Thread one = new Thread(work, name);
                one.setDaemon(true);
                one.setPriority(Thread.MIN_PRIORITY);
                return one;
            });
        }

        /** Nothing where it is busy. */
        void once(Runnable work) {
            if (busy.compareAndSet(false, true)) {
                thread.execute(() -> {
                    try {
                        work.run();
                    } catch (RuntimeException e) {
                        // The old plan is kept; the next look tries again.
                        LOG.warn("the bench day was not planned", e);
                    } finally {
                        busy.set(false);
                    }
                });
            }
        }
    }
}
