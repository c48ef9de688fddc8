package homalon.app.foundation.web;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.input.BadInputException;
import jakarta.persistence.EntityManager;
import java.time.Clock;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's own name, shown on every page and report. */
@Service
@RequiredArgsConstructor
public class Shop {
    private final EntityManager entities;
    private final Memory memory;
    private final Clock clock;

    private record Name() implements Question<String> {}

    /** Every page shows it. Another instance shows a new name within ten seconds. */
    public String name() {
        return memory.at(
                new Name(),
                clock.instant().getEpochSecond() / 10,
                () -> entities.createQuery("select name from ShopRow", String.class).getResultList().stream()
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
        memory.changes(new Name());
    }
}
