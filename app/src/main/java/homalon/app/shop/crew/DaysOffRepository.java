package homalon.app.shop.crew;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface DaysOffRepository extends JpaRepository<DaysOffRow, UUID> {
    List<DaysOffRow> findByGoneAtIsNullAndToGreaterThanEqualOrderByFrom(LocalDate day);
}
