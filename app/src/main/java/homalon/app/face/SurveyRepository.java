package homalon.app.face;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SurveyRepository extends JpaRepository<SurveyRow, UUID> {
    Optional<SurveyRow> findByJobIdAndKind(UUID jobId, SurveyKind kind);

    List<SurveyRow> findByJobIdIn(Collection<UUID> jobIds);
}
