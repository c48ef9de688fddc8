package homalon.app.ledger;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LineRepository extends JpaRepository<LineRow, UUID> {
    List<LineRow> findByPartIdInOrderBySeq(Collection<UUID> parts);
}
