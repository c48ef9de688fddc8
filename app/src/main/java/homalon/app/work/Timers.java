package homalon.app.work;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.input.BadInputException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Timers of ovens, dye and soaking. They stand in the database: no page and no server has to stay up for them. */
@Service
@Transactional
public class Timers {
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    Timers(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** One that nobody has stopped yet. */
    public record Running(UUID id, String tag, String what, int seconds, Instant startedAt) {
        public Instant endsAt() {
            return startedAt.plusSeconds(seconds);
        }
    }

    /** All that run or have run out, of every part that is in the shop; the first to end first. */
    @Transactional(readOnly = true)
    public List<Running> running() {
        return jdbc.sql("""
                        select t.id, p.tag, t.what, t.seconds, t.started_at
                        from timer t join job j on j.id = t.job_id join part p on p.id = j.part_id
                        where t.ended_at is null and j.released_at is null
                        order by t.started_at + make_interval(secs => t.seconds)
                        """)
                .query((r, n) -> new Running(
                        r.getObject(1, UUID.class),
                        r.getString(2),
                        r.getString(3),
                        r.getInt(4),
                        r.getTimestamp(5).toInstant()))
                .list();
    }

    /** @throws BadInputException when it is no time for a timer */
    public void start(PartFile part, UUID id, String what, String minutes, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        part.requireHere("timer", "to work on it");
        String name = what == null ? "" : what.strip();
        if (name.isEmpty() || name.length() > 60) {
            throw new BadInputException("what", "Say what it is for in a few words, such as: oven.");
        }
        String tidy = minutes == null ? "" : minutes.strip().replace(',', '.');
        double m = tidy.matches("[0-9]{1,4}(\\.[0-9]{1,2})?") ? Double.parseDouble(tidy) : 0;
        if (m <= 0 || m > 2880) {
            throw new BadInputException("minutes", "Key minutes, such as 90: above zero and at most two days, 2880.");
        }
        jdbc.sql("""
                        insert into timer (id, job_id, what, seconds, started_by, started_at)
                        values (?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        name,
                        (int) Math.max(1, Math.round(m * 60)),
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** Heard, or not wanted any more. */
    public void stop(UUID id) {
        jdbc.sql("update timer set ended_at = ? where id = ? and ended_at is null")
                .params(Timestamp.from(clock.instant()), id)
                .update();
    }
}
