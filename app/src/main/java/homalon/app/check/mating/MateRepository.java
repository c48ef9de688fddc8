package homalon.app.check.mating;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MateRepository extends JpaRepository<MateRow, Long> {
    Optional<MateRow> findTopByHeadIdOrderBySeqDesc(UUID head);

    Optional<MateRow> findTopByDeckIdOrderBySeqDesc(UUID deck);
}
