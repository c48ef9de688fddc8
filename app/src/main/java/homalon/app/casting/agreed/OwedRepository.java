package homalon.app.casting.agreed;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface OwedRepository extends JpaRepository<OwedRow, UUID> {
    List<OwedRow> findByVisitInOrderBySinceAscIdAsc(Collection<UUID> visits);

    @Query("""
            select o.visit from OwedRow o join Job j on j.id = o.visit
            where o.comeAt is null and j.releasedAt is null and j.voidedAt is null
            """)
    List<UUID> visitsHere();

    @Modifying
    @Query("""
            update OwedRow set words = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
