package homalon.app.foundation.people;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface BenchDeviceRepository extends JpaRepository<BenchDevice, UUID> {
    Optional<BenchDevice> findByTokenHashAndRevokedAtIsNull(String tokenHash);

    List<BenchDevice> findByRevokedAtIsNullOrderByEnabledAt();
}
