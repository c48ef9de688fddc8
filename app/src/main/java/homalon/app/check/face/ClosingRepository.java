package homalon.app.check.face;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ClosingRepository extends Repository<ClosingRow, Long> {
    List<ClosingRow> findBySurveyInOrderBySeq(Collection<UUID> surveys);
}
