package homalon.app.check.feelers;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeelerLineRepository extends JpaRepository<FeelerLineRow, UUID> {
    List<FeelerLineRow> findBySurveyIdInOrderBySeq(Collection<UUID> surveys);
}
