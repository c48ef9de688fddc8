package homalon.app.check.feelers;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeelerTryRepository extends JpaRepository<FeelerTryRow, UUID> {
    List<FeelerTryRow> findByPlaceInOrderBySeq(Collection<UUID> places);
}
