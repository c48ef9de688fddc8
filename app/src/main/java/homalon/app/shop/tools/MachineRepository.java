package homalon.app.shop.tools;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface MachineRepository extends JpaRepository<MachineRow, UUID> {
    List<MachineRow> findByRetiredAtIsNullOrderByName();
}
