package homalon.app.shop.stock;

import homalon.app.foundation.store.EvidenceLog;
import homalon.core.catalogue.Item;
import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The shop's list. Lines are superseded, never changed. */
@Service
@Transactional
@RequiredArgsConstructor
public class Catalogue {
    private final EvidenceLog log;
    private final EntityManager entities;

    /** @param shelf how many lie on the shop's own shelf */
    public record Row(Item item, int shelf) {}

    @Transactional(readOnly = true)
    public List<Row> rows() {
        return entities.createQuery("""
                        from CatalogueLine l where not gone
                        and seq = (select max(other.seq) from CatalogueLine other where other.code = l.code)
                        order by kind, outer, code
                        """, CatalogueLine.class).getResultList().stream()
                .map(CatalogueLine::row)
                .toList();
    }

    @Transactional(readOnly = true)
    public List<Item> items(Item.Kind kind) {
        return rows().stream().map(Row::item).filter(i -> i.kind() == kind).toList();
    }

    @Transactional(readOnly = true)
    public Optional<Row> byCode(String code) {
        return rows().stream()
                .filter(r -> r.item().code().equals(code.toUpperCase(Locale.ROOT)))
                .findFirst();
    }

    /** New lines for these codes; what stood before stays in the history. */
    public void keep(List<Row> rows, UUID by) {
        rows.forEach(r -> log.add(new CatalogueLine(r, false, by)));
    }

    /** Off the list. */
    public void drop(String code, UUID by) {
        byCode(code).ifPresent(r -> log.add(new CatalogueLine(r, true, by)));
    }
}
