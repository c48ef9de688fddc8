package homalon.app.check.feelers;

import homalon.app.foundation.store.SingleOrList;
import homalon.core.visit.FeelerKind;
import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface FeelerSurveyRepository extends JpaRepository<FeelerSurveyRow, UUID> {
    Optional<FeelerSurveyRow> findByJobIdAndKind(UUID jobId, FeelerKind kind);

    List<FeelerSurveyRow> findByJobIdOrderByStartedAt(UUID id);

    List<FeelerSurveyRow> findByJobIdInOrderByStartedAt(Collection<UUID> jobIds);

    default List<FeelerSurveyRow> ofVisits(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::findByJobIdOrderByStartedAt, this::findByJobIdInOrderByStartedAt);
    }

    /** Two people on one survey write one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from FeelerSurveyRow s where s.jobId = :job and s.kind = :kind")
    Optional<FeelerSurveyRow> locked(UUID job, FeelerKind kind);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update FeelerSurveyRow set revision = revision + 1 where id = :id")
    void changed(UUID id);
}
