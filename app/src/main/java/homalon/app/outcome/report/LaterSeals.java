package homalon.app.outcome.report;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import lombok.RequiredArgsConstructor;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Seals what was handed over before there were seals, once, behind the start; marked as sealed later. */
@Component
@RequiredArgsConstructor
public class LaterSeals {
    private static final Logger LOG = LoggerFactory.getLogger(LaterSeals.class);

    /** Asked for behind the start: half of the application hangs on it. */
    private final ObjectProvider<Releases> later;

    /** One after the other, so that no visit is sealed by two at once. */
    private final ExecutorService behind = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "later-seals");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        return thread;
    });

    /** Seals what is over and not sealed, behind whatever else goes on. */
    @EventListener(ApplicationReadyEvent.class)
    public void start() {
        behind.execute(this::all);
    }

    private void all() {
        try {
            Releases releases = later.getObject();
            for (String tag : releases.tagsToSeal()) {
                releases.sealLater(tag);
            }
        } catch (RuntimeException e) {
            // Another instance seals the same, or the shop stops: the next start goes on.
            LOG.debug("not all was sealed", e);
        }
    }
}
