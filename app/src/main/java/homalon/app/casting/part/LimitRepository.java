package homalon.app.casting.part;

import homalon.app.foundation.store.SingleOrList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LimitRepository extends JpaRepository<LimitRow, UUID> {
    List<LimitRow> findByPartIdAndWithdrawnAtIsNull(UUID id);

    List<LimitRow> findByPartIdInAndWithdrawnAtIsNull(Collection<UUID> partIds);

    /** Withdrawn ones too: what was in force at a time follows from their times. */
    List<LimitRow> findByPartId(UUID id);

    default List<LimitRow> ofParts(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::findByPartIdAndWithdrawnAtIsNull, this::findByPartIdInAndWithdrawnAtIsNull);
    }
}
