package homalon.app.foundation.devices;

import jakarta.annotation.PreDestroy;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import javax.sql.DataSource;
import lombok.RequiredArgsConstructor;
import org.postgresql.PGConnection;
import org.postgresql.PGNotification;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Tells every instance of the application what has changed, through PostgreSQL's LISTEN and NOTIFY: nothing is kept in memory
 * that another instance would miss. What is told in a transaction arrives when it is committed.
 */
@Component
@RequiredArgsConstructor
public class LiveBus {
    private static final Logger LOG = LoggerFactory.getLogger(LiveBus.class);
    private static final String CHANNEL = "homalon_live";
    private static final int MOST = 4000;
    private static final int LOOK_EVERY = 200;

    private final DataSource source;
    private final JdbcClient jdbc;
    private final List<BiConsumer<String, String>> listeners = new CopyOnWriteArrayList<>();
    private volatile boolean open = true;

    /**
     * @param topic what it is about, without a blank
     * @param words at most some thousand letters
     */
    public void tell(String topic, String words) {
        String all = topic + " " + words;
        if (all.length() <= MOST) {
            jdbc.sql("select pg_notify(?, ?)")
                    .param(CHANNEL)
                    .param(all)
                    .query((r, i) -> 0)
                    .list();
        }
    }

    /** Calls with topic and words whatever is told anywhere. */
    public void listen(BiConsumer<String, String> listener) {
        listeners.add(listener);
    }

    @EventListener(ApplicationReadyEvent.class)
    void start() {
        Thread thread = new Thread(this::run, "live-bus");
        thread.setDaemon(true);
        thread.start();
    }

    @PreDestroy
    void stop() {
        open = false;
    }

    private void run() {
        while (open) {
            try (Connection connection = source.getConnection()) {
                hear(connection);
            } catch (SQLException e) {
                LOG.debug("the bus lost its connection", e);
                pause();
            }
        }
    }

    private void hear(Connection connection) throws SQLException {
        try (var statement = connection.createStatement()) {
            statement.execute("listen " + CHANNEL);
        }
        PGConnection postgres = connection.unwrap(PGConnection.class);
        while (open) {
            PGNotification[] all = postgres.getNotifications(LOOK_EVERY);
            for (PGNotification n : all == null ? new PGNotification[0] : all) {
                int blank = n.getParameter().indexOf(' ');
                if (blank > 0) {
                    String topic = n.getParameter().substring(0, blank);
                    String words = n.getParameter().substring(blank + 1);
                    listeners.forEach(l -> l.accept(topic, words));
                }
            }
        }
    }

    private static void pause() {
        try {
            Thread.sleep(1000);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
