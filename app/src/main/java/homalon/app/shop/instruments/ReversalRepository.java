package homalon.app.shop.instruments;

import java.util.List;
import java.util.UUID;
import org.springframework.data.repository.Repository;

interface ReversalRepository extends Repository<ReversalRow, Long> {
    List<ReversalRow> findByInstrumentOrderBySeqDesc(UUID instrument);
}
