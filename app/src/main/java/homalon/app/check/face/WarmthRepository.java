package homalon.app.check.face;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface WarmthRepository extends Repository<WarmthRow, Long> {
    List<WarmthRow> findBySurveyInOrderBySeq(Collection<UUID> surveys);
}
