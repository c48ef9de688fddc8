package homalon.app.integrity;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.input.BadInputException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Photos of castings, kept in the database. */
@Service
@Transactional
class Photos {
    private static final int MOST = 40;

    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    Photos(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    record Photo(UUID id, String note, int width, int height, UUID by, Instant at) {}

    @Transactional(readOnly = true)
    List<Photo> of(PartFile part) {
        return jdbc.sql("select id, note, width, height, by_person, at from photo where job_id = ? order by seq")
                .param(part.visit().id())
                .query((r, n) -> new Photo(
                        r.getObject(1, UUID.class),
                        r.getString(2),
                        r.getInt(3),
                        r.getInt(4),
                        r.getObject(5, UUID.class),
                        r.getTimestamp(6).toInstant()))
                .list();
    }

    @Transactional(readOnly = true)
    Optional<byte[]> jpeg(PartFile part, UUID id) {
        return jdbc.sql("select f.jpeg from photo f join job j on j.id = f.job_id where f.id = ? and j.part_id = ?")
                .params(id, part.id())
                .query(byte[].class)
                .optional();
    }

    void add(PartFile part, UUID id, Picture picture, String note, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        part.requireHere("photo", "to add photos");
        if (of(part).size() >= MOST) {
            throw new BadInputException("photo", "Forty photos of one visit are enough: none more is kept.");
        }
        String tidy = note == null ? "" : note.strip();
        jdbc.sql("""
                        insert into photo (id, job_id, note, width, height, jpeg, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        tidy.length() > 120 ? tidy.substring(0, 120) : tidy,
                        picture.width(),
                        picture.height(),
                        picture.jpeg(),
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }
}
