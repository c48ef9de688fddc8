package homalon.app.part;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface LimitRepository extends JpaRepository<LimitRow, UUID> {
    List<LimitRow> findByPartIdInAndWithdrawnAtIsNull(Collection<UUID> partIds);
}
