package homalon.app.outcome.feeds;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface FeedRepository extends JpaRepository<FeedRow, UUID> {
    Optional<FeedRow> findByTokenHashAndRevokedAtIsNull(String tokenHash);

    List<FeedRow> findByMadeByAndRevokedAtIsNullOrderByMadeAt(UUID by);
}
