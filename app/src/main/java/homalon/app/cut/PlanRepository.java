package homalon.app.cut;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlanRepository extends JpaRepository<PlanRow, UUID> {
    List<PlanRow> findByJobIdInOrderBySeq(Collection<UUID> visits);
}
