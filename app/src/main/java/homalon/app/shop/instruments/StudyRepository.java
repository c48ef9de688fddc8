package homalon.app.shop.instruments;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StudyRepository extends JpaRepository<StudyRow, UUID> {
    List<StudyRow> findByInstrumentOrderByStartedAtDesc(UUID instrument);
}
