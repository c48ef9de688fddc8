package homalon.app.outcome.plan;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface PinRepository extends JpaRepository<PinRow, UUID> {
    /** Of each work the last line. */
    @Query("""
            from PinRow p where p.visit in :visits and not exists
              (select 1 from PinRow l where l.visit = p.visit and l.work = p.work
                 and (l.saidAt > p.saidAt or l.saidAt = p.saidAt and l.id > p.id))
            """)
    List<PinRow> lastOf(Collection<UUID> visits);
}
