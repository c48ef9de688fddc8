package homalon.app.part;

import homalon.app.web.NotHereException;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writers on one casting wait for each other: whoever has the turn sees all that was written before, keeps it until the end of
 * the transaction, and so answers a repeat as it answered the first, and tells the later one of two what the other keyed.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class Turns {
    private final JdbcClient jdbc;

    Turns(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public void take(PartFile part) {
        take(List.of(part.id()));
    }

    /**
     * Takes the turn for a write that carries an id made by the browser.
     *
     * @return false when the same was kept before: a repeat changes nothing, and is answered as the first was
     */
    public boolean first(PartFile part, UUID id) {
        return jdbc.sql("""
                        with turn as (select id from part where id = :part for no key update)
                        insert into kept_once (id) select :id from turn on conflict (id) do nothing
                        """).param("part", part.id()).param("id", id).update() > 0;
    }

    /** Whether a write with that id was kept before. */
    public boolean kept(UUID id) {
        return jdbc.sql("select exists (select from kept_once where id = ?)")
                .param(id)
                .query(Boolean.class)
                .single();
    }

    /** For several castings at once, in one order for everybody, so that no two wait for each other. */
    public void take(Collection<UUID> parts) {
        for (UUID id : parts.stream().distinct().sorted().toList()) {
            jdbc.sql("select id from part where id = ? for no key update")
                    .param(id)
                    .query(UUID.class)
                    .optional()
                    .orElseThrow(() -> new NotHereException("There is no such part: go back to the bench."));
        }
    }
}
