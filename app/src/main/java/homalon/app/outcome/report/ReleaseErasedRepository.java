package homalon.app.outcome.report;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ReleaseErasedRepository extends Repository<ReleaseErasedRow, UUID> {
    Optional<ReleaseErasedRow> findById(UUID visit);

    @Query(nativeQuery = true, value = "select erase_customer(:who, :shown, :blank, :instead, :by)")
    int erase(UUID who, String[] shown, String blank, String instead, UUID by);
}
