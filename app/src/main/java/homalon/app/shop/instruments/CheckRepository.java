package homalon.app.shop.instruments;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CheckRepository extends JpaRepository<CheckRow, Long> {
    List<CheckRow> findByInstrumentOrderBySeq(UUID instrument);
}
