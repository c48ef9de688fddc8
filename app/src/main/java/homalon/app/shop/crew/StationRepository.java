package homalon.app.shop.crew;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface StationRepository extends JpaRepository<StationRow, UUID> {
    List<StationRow> findByRetiredAtIsNullOrderByName();
}
