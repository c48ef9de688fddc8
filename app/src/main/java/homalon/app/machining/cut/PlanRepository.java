package homalon.app.machining.cut;

import homalon.app.foundation.store.SingleOrList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PlanRepository extends JpaRepository<PlanRow, UUID> {
    @Query("from PlanRow p left join fetch p.passes where p.jobId = :visit order by p.seq")
    List<PlanRow> ofVisit(UUID visit);

    @Query("from PlanRow p left join fetch p.passes where p.jobId in :visits order by p.seq")
    List<PlanRow> ofMany(Collection<UUID> visits);

    // In lots that follow each other, each in the order of the index job_by_due (that of one customer by
    // part_by_customer): what is
    // asked for is nearly always in the first two, and a lot that nobody reads to is not looked for. (|| '' keeps the
    // index of
    // the words out of it, which would begin with the many that left long ago.)
    @Query(value = """
            select id from (
              (select p.id from part p join job j on j.part_id = p.id
               where p.customer = :customer and p.material = :metal and p.id <> :first and p.words || '' like :like escape '!'
                 and j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id)
                 and not exists (select 1 from ledger_line l where l.job_id = j.id and l.kind = 'PASS')
               order by coalesce(j.due, 'infinity'), j.opened_at, j.id limit :from + :most)
              union all
              (select p.id from job j join part p on p.id = j.part_id
               where p.customer <> :customer and p.material = :metal and p.words || '' like :like escape '!'
                 and j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id)
                 and not exists (select 1 from ledger_line l where l.job_id = j.id and l.kind = 'PASS')
               order by coalesce(j.due, 'infinity'), j.opened_at, j.id limit :from + :most)
              union all
              (select p.id from job j join part p on p.id = j.part_id
               where p.material = :metal and p.id <> :first and p.words || '' like :like escape '!'
                 and j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id)
                 and exists (select 1 from ledger_line l where l.job_id = j.id and l.kind = 'PASS')
               order by coalesce(j.due, 'infinity'), j.opened_at, j.id limit :from + :most)
              union all
              (select p.id from job j join part p on p.id = j.part_id
               where p.material <> :metal and p.words || '' like :like escape '!'
                 and j.released_at is null and exists (select 1 from cut_plan c where c.job_id = j.id)
               order by coalesce(j.due, 'infinity'), j.opened_at, j.id limit :from + :most)) lots
            limit :most offset :from
            """, nativeQuery = true)
    List<UUID> planned(UUID first, String metal, String customer, String like, int from, int most);

    default List<PlanRow> ofVisits(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::ofVisit, this::ofMany);
    }
}
