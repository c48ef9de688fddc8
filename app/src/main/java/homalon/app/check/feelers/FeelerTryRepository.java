package homalon.app.check.feelers;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface FeelerTryRepository extends Repository<FeelerTryRow, Long> {
    List<FeelerTryRow> findByPlaceInOrderBySeq(Collection<UUID> places);
}
