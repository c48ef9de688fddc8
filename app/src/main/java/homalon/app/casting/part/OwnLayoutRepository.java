package homalon.app.casting.part;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface OwnLayoutRepository extends JpaRepository<OwnLayout, String> {
    List<OwnLayout> findAllByOrderByName();
}
