package homalon.app.check.face;

import homalon.app.foundation.store.SingleOrList;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ReadingRepository extends Repository<ReadingRow, Long> {
    @Query("""
            select r from ReadingRow r where r.place in
            (select p.id from PlaceRow p where p.surveyId in :surveys) order by r.seq
            """)
    List<ReadingRow> ofMany(Collection<UUID> surveys);

    @Query("""
            select r from ReadingRow r where r.place in
            (select p.id from PlaceRow p where p.surveyId = :survey) order by r.seq
            """)
    List<ReadingRow> ofOne(UUID survey);

    default List<ReadingRow> ofSurveys(Collection<UUID> surveys) {
        return SingleOrList.of(surveys, this::ofOne, this::ofMany);
    }
}
