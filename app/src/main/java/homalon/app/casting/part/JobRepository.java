package homalon.app.casting.part;

import homalon.app.foundation.store.SingleOrList;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.visit.StuckOn;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface JobRepository extends JpaRepository<Job, UUID> {
    /** Its visits, the first visit first; none that was voided. */
    @Query("from Job where partId = :part and voidedAt is null order by no")
    List<Job> ofPart(UUID part);

    /** The visit that a casting is on, or was on last. */
    default Job present(UUID partId) {
        List<Job> visits = ofPart(partId);
        return visits.get(visits.size() - 1);
    }

    @Query("from Job where partId in :parts and voidedAt is null order by no")
    List<Job> ofAllParts(Collection<UUID> parts);

    default List<Job> ofParts(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::ofPart, this::ofAllParts);
    }

    @Query(
            "select j.partId from Job j where j.releasedAt is not null and j.voidedAt is null order by j.releasedAt desc")
    List<UUID> handedOver(Limit most);

    @Query("select id from Job where releasedAt is not null and voidedAt is null order by releasedAt desc, id")
    List<UUID> lastHandedOver(Limit most);

    @Query("select id from Job where releasedAt >= :from and releasedAt < :to and voidedAt is null")
    List<UUID> handedOver(Instant from, Instant to);

    @Query("select id from Job where releasedAt is not null and voidedAt is null")
    List<UUID> handedOver();

    /**
     * Visits handed over, of castings like one: the same metal, head or deck, and as many cylinders; the latest first.
     */
    @Query("""
            select j.id from Job j join Part p on p.id = j.partId
            where p.kind = :kind and p.material = :metal and p.cylinders = :cylinders
              and j.releasedAt is not null and j.voidedAt is null
            order by j.releasedAt desc, j.id
            """)
    List<UUID> ofLike(PartKind kind, Material metal, int cylinders, Limit most);

    /** Castings that are here, the earliest due first, then the one that came first. */
    @Query("select partId from Job where releasedAt is null and voidedAt is null order by due nulls last, openedAt, id")
    List<UUID> firstDue(Limit most);

    long countByStuckOnAndReleasedAtIsNullAndVoidedAtIsNull(StuckOn on);

    long countByReleasedAtIsNullAndVoidedAtIsNull();

    @Query("select min(openedAt) from Job")
    Optional<Instant> firstOpened();

    /**
     * How many visits are in the shop.
     *
     * @param on what they wait for; null for those that somebody can go on with
     * @param late of those, due before today
     */
    record Here(StuckOn on, long many, long late) {}

    @Query("""
            select j.stuckOn, count(*), count(*) filter (where j.due < :today) from Job j
            where j.releasedAt is null group by j.stuckOn
            """)
    List<Here> count(LocalDate today);

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

    /**
     * The same for several at once, some of each.
     *
     * @param ons names, parted by commas
     */
    @Query(value = """
            select s.part_id from unnest(string_to_array(:ons, ',')) o(stuck_on)
            cross join lateral (
              select part_id, stuck_since, id from job where released_at is null and stuck_on = o.stuck_on
              order by stuck_since, id limit :most) s
            order by o.stuck_on, s.stuck_since, s.id
            """, nativeQuery = true)
    List<UUID> stuckOfEach(String ons, int most);
}
