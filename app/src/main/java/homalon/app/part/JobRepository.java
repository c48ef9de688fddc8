package homalon.app.part;

import homalon.app.web.OneOrMany;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface JobRepository extends JpaRepository<Job, UUID> {
    List<Job> findByPartIdOrderByNo(UUID partId);

    List<Job> findByPartIdInOrderByNo(Collection<UUID> partIds);

    default List<Job> ofParts(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findByPartIdOrderByNo, this::findByPartIdInOrderByNo);
    }

    List<Job> findTop12ByReleasedAtIsNotNullOrderByReleasedAtDesc();

    /** How many visits wait for the same. */
    record Stuck(StuckOn on, long many) {}

    @Query(
            "select j.stuckOn, count(*) from Job j where j.releasedAt is null and j.stuckOn is not null group by j.stuckOn")
    List<Stuck> countStuck();

    /** How many visits somebody can go on with, and how many of them are late. */
    record Free(long many, long late) {}

    @Query("""
            select count(*), count(*) filter (where j.due < :today) from Job j
            where j.releasedAt is null and j.stuckOn is null
            """)
    Free countFree(LocalDate today);

    // Written for the index job_free, which holds them in this order.
    @Query(value = """
            select part_id from job where released_at is null and stuck_on is null
            order by coalesce(due, 'infinity'), opened_at, id limit :most
            """, nativeQuery = true)
    List<UUID> free(int most);

    @Query(value = """
            select part_id from job where released_at is null and stuck_on is null
              and (coalesce(due, 'infinity'), opened_at, id)
                > (select coalesce(a.due, 'infinity'), a.opened_at, a.id from job a where a.id = :after)
            order by coalesce(due, 'infinity'), opened_at, id limit :most
            """, nativeQuery = true)
    List<UUID> freeAfter(UUID after, int most);

    @Query(value = """
            select part_id from job where released_at is null and stuck_on = :on
            order by stuck_since, id limit :most offset :from
            """, nativeQuery = true)
    List<UUID> stuck(String on, int from, int most);
}
