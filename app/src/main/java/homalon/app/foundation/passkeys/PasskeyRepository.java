package homalon.app.foundation.passkeys;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PasskeyRepository extends JpaRepository<PasskeyRow, String> {
    List<PasskeyRow> findByPersonOrderByCreatedAt(UUID person);
}
