package homalon.app.casting.ledger;

import homalon.app.foundation.store.SingleOrList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LineRepository extends JpaRepository<LineRow, UUID> {
    List<LineRow> findByPartIdOrderBySeq(UUID id);

    List<LineRow> findByPartIdInOrderBySeq(Collection<UUID> parts);

    @Query("""
            select distinct l.edge from LineRow l
            where l.kind = PASS and l.edge <> '' and lower(l.cutter) = lower(:cutter)
              and not exists (select 1 from LineRow r where r.reverses = l.id)
            order by l.edge
            """)
    List<String> edgesUsed(String cutter, Limit most);

    default List<LineRow> ofParts(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::findByPartIdOrderBySeq, this::findByPartIdInOrderBySeq);
    }
}
