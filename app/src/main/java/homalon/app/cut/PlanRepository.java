package homalon.app.cut;

import homalon.app.web.OneOrMany;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PlanRepository extends JpaRepository<PlanRow, UUID> {
    List<PlanRow> findByJobIdOrderBySeq(UUID id);

    List<PlanRow> findByJobIdInOrderBySeq(Collection<UUID> visits);

    // The few that are in the shop first: of the parts that the words fit, nearly all may have left long ago (|| ''
    // keeps the
    // index of the words out of it, which would begin with those).
    @Query(value = """
            with here as materialized (
              select j.part_id, j.due, j.opened_at,
                exists (select 1 from ledger_line l where l.part_id = j.part_id and l.job_id = j.id and l.kind = 'PASS') as begun
              from job j
              where j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id))
            select p.id from here join part p on p.id = here.part_id
            where p.id <> :first and p.words || '' like :like escape '!'
            order by p.material <> :metal, here.begun, p.customer <> :customer, here.due nulls last, here.opened_at, p.tag
            limit :most offset :from
            """, nativeQuery = true)
    List<UUID> planned(UUID first, String metal, String customer, String like, int from, int most);

    default List<PlanRow> ofVisits(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findByJobIdOrderBySeq, this::findByJobIdInOrderBySeq);
    }
}
