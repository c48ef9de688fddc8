package homalon.app.shop.tools;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CutterRepository extends JpaRepository<CutterRow, UUID> {
    List<CutterRow> findByRetiredAtIsNullOrderByName();
}
