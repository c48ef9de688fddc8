package homalon.app.check.face;

import homalon.app.foundation.store.SingleOrList;
import homalon.core.visit.SurveyKind;
import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface SurveyRepository extends JpaRepository<SurveyRow, UUID> {
    List<SurveyRow> findByJobIdOrderByStartedAt(UUID id);

    List<SurveyRow> findByJobIdInOrderByStartedAt(Collection<UUID> jobIds);

    default List<SurveyRow> ofVisits(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::findByJobIdOrderByStartedAt, this::findByJobIdInOrderByStartedAt);
    }

    /** Two people on one survey write one after the other, so that the later one sees what the earlier one kept. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select s from SurveyRow s where s.jobId = :job and s.kind = :kind")
    Optional<SurveyRow> locked(UUID job, SurveyKind kind);

    /** For changes of its places and of what was noted; readings count it up by themselves (V33). */
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update SurveyRow set revision = revision + 1 where id = :id")
    void changed(UUID id);
}
