package homalon.app.shop.instruments;

import homalon.core.gauge.InstrumentKind;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface InUseRepository extends JpaRepository<InUseRow, Long> {
    /** What this person had in hand last. */
    @Query("from InUseRow where by = :person and kind = :kind and at > :since order by seq desc limit 1")
    Optional<InUseRow> last(UUID person, InstrumentKind kind, Instant since);

    @Query("from InUseRow where code = :code and at >= :since order by seq desc limit :most")
    List<InUseRow> since(String code, Instant since, int most);
}
