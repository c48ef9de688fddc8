package homalon.app.casting.part;

import homalon.core.part.PartKind;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface PartRepository extends JpaRepository<Part, UUID> {
    Optional<Part> findByTag(String tag);

    // By the index of casting numbers, which has those that have one.
    @Query(
            "select p.id from Part p where p.voidedTag is null and p.castingNumber <> '' and lower(p.castingNumber) = lower(:number) order by p.createdAt desc")
    List<UUID> withCastingNumber(String number, Limit most);

    // By the index of the words; a name that is only part of another's is no such engine.
    @Query(
            "select p.id from Part p where p.voidedTag is null and p.words like concat('%', lower(:name), '%') and lower(p.name) = lower(:name) order by p.createdAt desc")
    List<UUID> ofEngine(String name, Limit most);

    // The same customer's, then the others as they came, by the index job_by_coming: the first few are soon found,
    // though nearly all
    // of that size may have left long ago (|| '' keeps the index of the words out of it, which would begin with those).
    @Query(value = """
            select id from (
              (select p.id from part p join job j on j.part_id = p.id
               where p.customer = :customer and p.kind <> :kind and p.cylinders = :cylinders
                 and p.spacing_nm between :least and :most and p.words || '' like :like escape '!' and j.released_at is null
               order by j.opened_at, j.id)
              union all
              (select p.id from job j join part p on p.id = j.part_id
               where p.customer <> :customer and p.kind <> :kind and p.cylinders = :cylinders
                 and p.spacing_nm between :least and :most and p.words || '' like :like escape '!' and j.released_at is null
               order by j.opened_at, j.id limit :limit)) lots
            limit :limit
            """, nativeQuery = true)
    List<UUID> mayMate(String kind, int cylinders, long least, long most, String like, String customer, int limit);

    @Query("""
            select p.tag from Part p join Job j on j.partId = p.id
            where j.releasedAt is null and p.customerId = :customer
            order by j.openedAt, p.tag
            """)
    List<String> inTheShopOf(UUID customer);

    /** How many castings of a customer, by its record. */
    record OfCustomer(UUID customer, long castings) {}

    @Query("""
            select p.customerId, count(p) from Part p
            where p.voidedTag is null and p.customerId in :customers group by p.customerId
            """)
    List<OfCustomer> all(Collection<UUID> customers);

    @Query("""
            select p.customerId, count(p) from Job j join Part p on j.partId = p.id
            where j.releasedAt is null and j.voidedAt is null and p.customerId in :customers group by p.customerId
            """)
    List<OfCustomer> here(Collection<UUID> customers);

    @Query(value = """
            select id from part where voided_tag is null and customer_id = :customer
            order by created_at desc, tag desc limit :most offset :from
            """, nativeQuery = true)
    List<UUID> ofCustomer(UUID customer, int from, int most);

    // The intake sheet that is open somewhere shows the old name: it is asked to look again before it is kept.
    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update versioned Part p set p.customer = :name, p.customerId = :into where p.customerId = :from")
    int hangOn(UUID from, UUID into, String name);

    /** The tag of a casting by its visit. */
    record TagOfVisit(UUID visit, String tag) {}

    @Query("""
            select j.id, p.tag from Part p join Job j on j.partId = p.id
            where j.releasedAt is null and j.id in :visits
            """)
    List<TagOfVisit> inTheShop(Collection<UUID> visits);

    @Query("""
            select p.id from Part p join Job j on j.partId = p.id
            where j.releasedAt is null and p.kind = :kind and p.customer = :customer and p.id <> :own
            order by j.openedAt desc, p.tag
            """)
    List<UUID> besides(PartKind kind, String customer, UUID own, Limit limit);

    @Query(
            value =
                    "select coalesce(max(cast(split_part(tag, '-', 2) as integer)), 0) from part where tag like :prefix || '-%'",
            nativeQuery = true)
    int highestNumber(String prefix);
}
