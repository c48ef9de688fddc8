package homalon.app.check.face;

import homalon.app.foundation.web.OneOrMany;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<PlaceRow, UUID> {
    List<PlaceRow> findBySurveyIdOrderBySeq(UUID id);

    List<PlaceRow> findBySurveyIdInOrderBySeq(Collection<UUID> surveyIds);

    default List<PlaceRow> ofSurveys(Collection<UUID> ids) {
        return OneOrMany.of(ids, this::findBySurveyIdOrderBySeq, this::findBySurveyIdInOrderBySeq);
    }
}
