package homalon.app.shop.instruments;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface ComparedRepository extends JpaRepository<ComparedRow, Long> {
    List<ComparedRow> findByInstrumentOrderBySeq(UUID instrument);

    List<ComparedRow> findAllByOrderBySeq();
}
