package homalon.app.check.feelers;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeelerPlaceRepository extends JpaRepository<FeelerPlaceRow, UUID> {
    List<FeelerPlaceRow> findByLineIdInOrderBySeq(Collection<UUID> lines);
}
