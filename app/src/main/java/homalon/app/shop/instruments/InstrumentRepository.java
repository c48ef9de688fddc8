package homalon.app.shop.instruments;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface InstrumentRepository extends JpaRepository<InstrumentRow, UUID> {
    List<InstrumentRow> findAllByOrderByCode();

    Optional<InstrumentRow> findByCode(String code);
}
