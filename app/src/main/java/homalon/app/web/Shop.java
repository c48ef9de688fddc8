package homalon.app.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.core.input.BadInputException;
import java.time.Duration;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The shop's own name, shown on every page and report. */
@Service
public class Shop {
    private final JdbcClient jdbc;
    /** Every page shows it. Another instance shows a new name that much later. */
    private final Cache<Boolean, String> known =
            Caffeine.newBuilder().expireAfterWrite(Duration.ofSeconds(10)).build();

    Shop(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public String name() {
        return known.get(
                true,
                k -> jdbc.sql("select name from shop where id = 1")
                        .query(String.class)
                        .optional()
                        .orElse("Homalon"));
    }

    @Transactional
    public void rename(String name) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("shop", "Shop: key its name as it stands on the door, at most 80 letters.");
        }
        jdbc.sql("insert into shop (id, name) values (1, ?) on conflict (id) do update set name = excluded.name")
                .param(tidy)
                .update();
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                known.invalidateAll();
            }
        });
    }
}
