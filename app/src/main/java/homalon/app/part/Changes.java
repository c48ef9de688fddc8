package homalon.app.part;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Lines about what was changed on a visit that can turn a verdict: who, when and what. Added to only. */
@Service
@Transactional
public class Changes {
    private static final int MOST = 400;

    private final JdbcClient jdbc;
    private final Clock clock;

    Changes(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** One change. */
    public record Change(String what, String detail, UUID by, Instant at) {}

    public void write(UUID visit, String what, String detail, UUID by) {
        jdbc.sql("insert into change_line (id, job_id, what, detail, by_person, at) values (?, ?, ?, ?, ?, ?)")
                .params(
                        UUID.randomUUID(),
                        visit,
                        what,
                        detail.length() > MOST ? detail.substring(0, MOST) : detail,
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** Of one visit, the oldest first. */
    @Transactional(readOnly = true)
    public List<Change> of(UUID visit) {
        return jdbc.sql("select what, detail, by_person, at from change_line where job_id = ? order by seq")
                .param(visit)
                .query((r, n) -> new Change(
                        r.getString(1),
                        r.getString(2),
                        r.getObject(3, UUID.class),
                        r.getTimestamp(4).toInstant()))
                .list();
    }
}
