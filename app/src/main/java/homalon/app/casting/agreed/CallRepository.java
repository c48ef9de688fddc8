package homalon.app.casting.agreed;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CallRepository extends JpaRepository<CallRow, UUID> {
    List<CallRow> findByVisitInOrderByAtAscIdAsc(Collection<UUID> visits);

    @Modifying
    @Query("""
            update CallRow set said = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
