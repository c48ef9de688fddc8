package homalon.app.outcome.times;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnTimeRepository extends JpaRepository<OwnTimeRow, UUID> {
    List<OwnTimeRow> findAllByOrderByAtAscIdAsc();
}
