package homalon.app.part;

import homalon.app.web.OneOrMany;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface JobRepository extends JpaRepository<Job, UUID> {
    List<Job> findByPartIdOrderByNo(UUID partId);

    List<Job> findByPartIdInOrderByNo(Collection<UUID> partIds);

    default List<Job> ofParts(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findByPartIdOrderByNo, this::findByPartIdInOrderByNo);
    }

    List<Job> findByReleasedAtIsNull();

    List<Job> findTop12ByReleasedAtIsNotNullOrderByReleasedAtDesc();
}
