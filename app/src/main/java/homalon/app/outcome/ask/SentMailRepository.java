package homalon.app.outcome.ask;

import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface SentMailRepository extends Repository<SentMailRow, Long> {
    @Modifying
    @Query("""
            update SentMailRow set recipient = '', body = '', why = '' where visit in
              (select j.id from Job j join Part p on p.id = j.partId where p.customerId = :customer)
            """)
    void forget(UUID customer);
}
