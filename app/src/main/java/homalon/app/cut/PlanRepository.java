package homalon.app.cut;

import homalon.app.web.OneOrMany;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanRepository extends JpaRepository<PlanRow, UUID> {
    List<PlanRow> findByJobIdOrderBySeq(UUID id);

    List<PlanRow> findByJobIdInOrderBySeq(Collection<UUID> visits);

    default List<PlanRow> ofVisits(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findByJobIdOrderBySeq, this::findByJobIdInOrderBySeq);
    }
}
