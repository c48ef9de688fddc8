package homalon.app.foundation.security;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

interface ThrottleBucketRepository extends Repository<ThrottleBucketRow, String> {
    /** Those that are not full, the last used first. */
    @Query("select b.subject from ThrottleBucketRow b where b.expiresAt > :now order by b.expiresAt desc, b.subject")
    List<String> used(long now, Limit limit);

    void deleteAllInBatch();
}
