package homalon.app.part;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface JobRepository extends JpaRepository<Job, UUID> {
    List<Job> findByPartIdOrderByNo(UUID partId);

    List<Job> findByPartIdInOrderByNo(Collection<UUID> partIds);

    List<Job> findByReleasedAtIsNull();

    List<Job> findTop12ByReleasedAtIsNotNullOrderByReleasedAtDesc();
}
