package homalon.app.report;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReleaseRepository extends JpaRepository<ReleaseRow, UUID> {
    List<ReleaseRow> findByPartIdOrderByNo(UUID partId);

    Optional<ReleaseRow> findByPartIdAndNo(UUID partId, int no);
}
