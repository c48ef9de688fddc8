package homalon.app.face;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<PlaceRow, UUID> {
    List<PlaceRow> findBySurveyIdInOrderBySeq(Collection<UUID> surveyIds);
}
