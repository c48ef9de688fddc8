package homalon.app.shop.instruments;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StudyReadingRepository extends JpaRepository<StudyReadingRow, Long> {
    List<StudyReadingRow> findByStudyOrderBySeq(UUID study);
}
