package homalon.app.casting.agreed;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface PromiseRepository extends JpaRepository<PromiseRow, UUID> {
    List<PromiseRow> findByVisitInOrderByAtAscIdAsc(Collection<UUID> visits);

    @Query(
            "select p.visit from PromiseRow p join Job j on j.id = p.visit where j.releasedAt is null and j.voidedAt is null")
    List<UUID> visitsHere();

    /** Visits for which a day of those was said. */
    @Query(
            "select distinct p.visit from PromiseRow p join Job j on j.id = p.visit where p.day between :from and :to and j.voidedAt is null")
    List<UUID> visitsWith(LocalDate from, LocalDate to);

    @Modifying
    @Query("""
            update PromiseRow set told = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
