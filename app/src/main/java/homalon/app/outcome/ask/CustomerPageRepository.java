package homalon.app.outcome.ask;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CustomerPageRepository extends JpaRepository<CustomerPageRow, UUID> {
    Optional<CustomerPageRow> findByTokenHash(String tokenHash);

    List<CustomerPageRow> findByVisitOrderByMadeAtDesc(UUID visit);

    /** Counted in the database: two that look at once are two. */
    @Modifying
    @Query("update CustomerPageRow set opened = opened + 1, lastOpenedAt = :at where id = :id")
    void opened(UUID id, Instant at);

    @Modifying
    @Query("""
            update CustomerPageRow set told = '', revokedAt = coalesce(revokedAt, :at) where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer, Instant at);
}
