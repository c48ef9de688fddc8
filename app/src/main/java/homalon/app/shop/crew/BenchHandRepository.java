package homalon.app.shop.crew;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchHandRepository extends JpaRepository<BenchHandRow, UUID> {}
