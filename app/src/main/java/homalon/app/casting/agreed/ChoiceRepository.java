package homalon.app.casting.agreed;

import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ChoiceRepository extends Repository<ChoiceMadeRow, Long> {
    @Modifying
    @Query("""
            update ChoiceMadeRow set who = '', words = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
