package homalon.app.cut;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface TouchedRepository extends JpaRepository<TouchedRow, UUID> {
    List<TouchedRow> findByJobIdOrderBySeq(UUID jobId);
}
