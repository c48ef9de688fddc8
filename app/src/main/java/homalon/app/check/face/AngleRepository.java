package homalon.app.check.face;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface AngleRepository extends Repository<AngleRow, Long> {
    List<AngleRow> findBySurveyInOrderBySeq(Collection<UUID> surveys);

    Optional<AngleRow> findFirstByCodeOrderBySeqDesc(String code);
}
