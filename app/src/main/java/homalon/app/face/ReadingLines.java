package homalon.app.face;

import jakarta.persistence.EntityManager;
import java.sql.Types;
import java.time.ZoneOffset;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Writes a reading and turns its survey's revision with it, in one question: this is what a machinist waits for. */
@Component
class ReadingLines {
    private final JdbcClient jdbc;
    private final EntityManager entities;

    ReadingLines(JdbcClient jdbc, EntityManager entities) {
        this.jdbc = jdbc;
        this.entities = entities;
    }

    /**
     * Gives the row its number.
     *
     * @throws org.springframework.dao.DuplicateKeyException when a line of that id stands elsewhere
     */
    void write(UUID survey, ReadingRow row) {
        // A place may be new in this transaction, and the survey's row held in it is of the revision before.
        entities.flush();
        row.seq = jdbc.sql("""
                        with line as (
                            insert into reading (id, place_id, kind, typed, unit, value_nm, withdraws, by_person, at)
                            values (:id, :place, :kind, :typed, :unit, :value, :withdraws, :by, :at) returning seq),
                        turned as (update survey set revision = revision + 1 where id = :survey)
                        select seq from line
                        """)
                .param("id", row.id)
                .param("place", row.placeId)
                .param("kind", row.kind.name())
                .param("typed", row.typed)
                .param("unit", row.unit.name())
                .param("value", row.value, Types.BIGINT)
                .param("withdraws", row.withdraws, Types.OTHER)
                .param("by", row.byPerson)
                .param("at", row.at.atOffset(ZoneOffset.UTC))
                .param("survey", survey)
                .query(Long.class)
                .single();
        entities.clear();
    }
}
