package homalon.app.outcome.report;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReleaseRepository extends JpaRepository<ReleaseRow, UUID> {
    List<ReleaseRow> findByPartIdOrderByNo(UUID partId);

    Optional<ReleaseRow> findByPartIdAndNo(UUID partId, int no);

    @Query("select visit from ReleaseRow")
    List<UUID> sealed();

    /** Whose sealed record, or one of whose papers as they were handed over, has this SHA-256. */
    @Query("""
            from ReleaseRow r where r.digest = :sum
            or exists (select 1 from ReleasePaperRow w where w.visit = r.visit
              and function('encode', function('sha256', w.content), 'hex') = :sum)
            or exists (select 1 from ReleaseErasedRow e where e.visit = r.visit and locate(:sum, e.sums) > 0)
            """)
    List<ReleaseRow> withSum(String sum);

    @Query("from VisitEvidence where visit = :visit order by kind, seq")
    List<VisitEvidence> evidence(UUID visit);
}
