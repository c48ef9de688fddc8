package homalon.app.check.face;

import homalon.app.foundation.store.SingleOrList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface PlaceRepository extends JpaRepository<PlaceRow, UUID> {
    List<PlaceRow> findBySurveyIdOrderBySeq(UUID id);

    List<PlaceRow> findBySurveyIdInOrderBySeq(Collection<UUID> surveyIds);

    default List<PlaceRow> ofSurveys(Collection<UUID> ids) {
        return SingleOrList.of(ids, this::findBySurveyIdOrderBySeq, this::findBySurveyIdInOrderBySeq);
    }
}
