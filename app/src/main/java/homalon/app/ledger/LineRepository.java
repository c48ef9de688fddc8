package homalon.app.ledger;

import homalon.app.web.OneOrMany;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LineRepository extends JpaRepository<LineRow, UUID> {
    List<LineRow> findByPartIdOrderBySeq(UUID id);

    List<LineRow> findByPartIdInOrderBySeq(Collection<UUID> parts);

    default List<LineRow> ofParts(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findByPartIdOrderBySeq, this::findByPartIdInOrderBySeq);
    }
}
