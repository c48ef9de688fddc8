package homalon.app.outcome.report;

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
class LaterSeals {
    private static final Logger LOG = LoggerFactory.getLogger(LaterSeals.class);

    /** Asked for behind the start: half of the application hangs on it. */
    private final ObjectProvider<Releases> later;

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        Thread thread = new Thread(this::all, "later-seals");
        thread.setDaemon(true);
        thread.setPriority(Thread.MIN_PRIORITY);
        thread.start();
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
