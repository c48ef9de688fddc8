package homalon.app.work;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.input.BadInputException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The log of work on castings: operations done, added or waived, small checks ticked. Lines are taken back by further lines. */
@Service
@Transactional
public class WorkLog {
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    WorkLog(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** What a line says. */
    public enum Kind {
        DID,
        ADDED,
        WAIVED,
        TICKED,
        WITHDRAWN
    }

    /**
     * A line that stands.
     *
     * @param what name of the operation or of the small check
     */
    public record Entry(long seq, UUID id, UUID visit, Kind kind, String what, String note, UUID by, Instant at) {}

    /** Lines that stand, by visit, in the order in which they were written. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Entry>> ofVisits(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        return jdbc
                .sql("""
                        select seq, id, job_id, kind, what, note, by_person, at from work_entry e
                        where job_id in (:visits) and kind <> 'WITHDRAWN'
                          and not exists (select from work_entry w where w.withdraws = e.id)
                        order by seq
                        """)
                .param("visits", visits)
                .query((r, n) -> new Entry(
                        r.getLong(1),
                        r.getObject(2, UUID.class),
                        r.getObject(3, UUID.class),
                        Kind.valueOf(r.getString(4)),
                        r.getString(5),
                        r.getString(6),
                        r.getObject(7, UUID.class),
                        r.getTimestamp(8).toInstant()))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Entry::visit));
    }

    @Transactional(readOnly = true)
    public List<Entry> of(PartFile part) {
        return ofVisits(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of());
    }

    /**
     * @return false when the line is there already: it was sent again
     * @throws BadInputException when the note is too long, or the part has left
     */
    public boolean write(PartFile part, UUID id, Kind kind, Enum<?> what, String note, UUID by) {
        if (!turns.first(part, id)) {
            return false;
        }
        part.requireHere("work", "to work on it");
        String tidy = note == null ? "" : note.strip();
        if (tidy.length() > 300) {
            throw new BadInputException("note", "That is too long to keep: at most 300 characters.");
        }
        if (kind == Kind.WAIVED && tidy.isEmpty()) {
            throw new BadInputException(
                    "note", "Say why it is left out, such as: no plates for this head, customer told.");
        }
        insert(part, id, kind, what.name(), tidy, null, by);
        return true;
    }

    /** Takes a line back by a second one. */
    public void takeBack(PartFile part, UUID id, UUID wrong, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        part.requireHere("work", "to work on it");
        Entry line = of(part).stream()
                .filter(e -> e.id().equals(wrong))
                .findFirst()
                .orElseThrow(() -> new BadInputException("work", "That line was taken back already."));
        insert(part, id, Kind.WITHDRAWN, line.what(), "", wrong, by);
    }

    private void insert(PartFile part, UUID id, Kind kind, String what, String note, UUID withdraws, UUID by) {
        jdbc.sql("""
                        insert into work_entry (id, job_id, kind, what, note, withdraws, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(id, part.visit().id(), kind.name(), what, note, withdraws, by, Timestamp.from(clock.instant()))
                .update();
    }
}
