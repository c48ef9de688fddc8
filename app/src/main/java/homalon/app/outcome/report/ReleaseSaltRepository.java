package homalon.app.outcome.report;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ReleaseSaltRepository extends JpaRepository<ReleaseSaltRow, UUID> {}
