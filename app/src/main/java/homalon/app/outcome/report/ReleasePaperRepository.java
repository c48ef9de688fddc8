package homalon.app.outcome.report;

import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface ReleasePaperRepository extends JpaRepository<ReleasePaperRow, ReleasePaperRow.Key> {

    /** Of each its name, a blank and its SHA-256. */
    @Query("""
            select concat(name, ' ', function('encode', function('sha256', content), 'hex'))
            from ReleasePaperRow where visit = :visit
            """)
    List<String> sums(UUID visit);
}
