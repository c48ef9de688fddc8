package homalon.app.machining.batch;

import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface BatchRepository extends JpaRepository<BatchRow, UUID> {
    /** Of these visits those that lie in a batch. */
    @Query("select v from BatchRow b join b.visits v where v in :visits")
    List<UUID> taken(Collection<UUID> visits);

    /** Visits of a batch, in the order in which they were put together. */
    @Query("select v from BatchRow b join b.visits v where b.id = :batch order by index(v)")
    List<UUID> visits(UUID batch);

    /** The batch that a visit is cut in; a visit lies in one. */
    @Query("select b.id from BatchRow b join b.visits v where v = :visit")
    Optional<UUID> ofVisit(UUID visit);
}
