package homalon.app.check.scan;

import homalon.core.visit.SurveyKind;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ScanRepository extends JpaRepository<ScanRow, UUID> {
    List<ScanRow> findByJobIdAndKindOrderBySeqDesc(UUID jobId, SurveyKind kind);

    List<ScanRow> findByJobIdInOrderBySeq(Collection<UUID> jobIds);
}
