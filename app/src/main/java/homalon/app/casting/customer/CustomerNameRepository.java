package homalon.app.casting.customer;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;

interface CustomerNameRepository extends JpaRepository<CustomerNameRow, UUID> {
    List<CustomerNameRow> findByCustomerIdOrderByAtDesc(UUID customer);

    @Modifying(flushAutomatically = true, clearAutomatically = true)
    @Query("update CustomerNameRow set customerId = :into where customerId = :from")
    void hangOn(UUID from, UUID into);
}
