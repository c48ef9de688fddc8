package homalon.app.foundation.web;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.core.input.BadInputException;
import jakarta.persistence.EntityManager;
import java.time.Duration;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** The shop's own name, shown on every page and report. */
@Service
@RequiredArgsConstructor
public class Shop {
    private final EntityManager entities;
    /** Every page shows it. Another instance shows a new name that much later. */
    private final Cache<Boolean, String> known =
            Caffeine.newBuilder().expireAfterWrite(Duration.ofSeconds(10)).build();

    public String name() {
        return known.get(
                true,
                k -> entities.createQuery("select name from ShopRow", String.class).getResultList().stream()
                        .findFirst()
                        .orElse("Homalon"));
    }

    @Transactional
    public void rename(String name) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > 80) {
            throw new BadInputException("shopName", "app.web.shop-key-its-name-as-it-stands-on-the");
        }
        ShopRow row = new ShopRow();
        row.name = tidy;
        entities.merge(row);
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                known.invalidateAll();
            }
        });
    }
}
