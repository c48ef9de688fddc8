package homalon.app.cut;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface SetupCheckRepository extends JpaRepository<SetupCheckRow, UUID> {
    List<SetupCheckRow> findByJobIdOrderBySeq(UUID jobId);
}
