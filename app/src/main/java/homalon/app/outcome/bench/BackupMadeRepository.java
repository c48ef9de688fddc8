package homalon.app.outcome.bench;

import java.time.Instant;
import java.util.Optional;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface BackupMadeRepository extends Repository<BackupMade, Long> {
    @Query("select max(at) from BackupMade")
    Optional<Instant> last();
}
