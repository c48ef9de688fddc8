package homalon.app.check.scan;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ScanTextRepository extends JpaRepository<ScanTextRow, UUID> {}
