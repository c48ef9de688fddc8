package homalon.app.casting.part;

import homalon.app.foundation.web.NotHereException;
import homalon.core.visit.PartFile;
import jakarta.persistence.EntityManager;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/**
 * Writers on one casting wait for each other: whoever has the turn sees all that was written before, keeps it until the end of
 * the transaction, and so answers a repeat as it answered the first, and tells the later one of two what the other keyed. The
 * questions are SQL: turn and mark are taken in one, and no part that was read before is compared with what it became.
 */
@Component
@Transactional(propagation = Propagation.MANDATORY)
@RequiredArgsConstructor
public class CastingLocks {
    private final EntityManager entities;

    public void take(PartFile part) {
        take(List.of(part.id()));
    }

    /**
     * Takes the turn for a write that carries an id made by the browser.
     *
     * @return false when the same was kept before: a repeat changes nothing, and is answered as the first was
     */
    public boolean first(PartFile part, UUID id) {
        return entities.createNativeQuery("""
                        with turn as (select id from part where id = :part for no key update)
                        insert into kept_once (id) select :id from turn on conflict (id) do nothing
                        """)
                        .setParameter("part", part.id())
                        .setParameter("id", id)
                        .executeUpdate()
                > 0;
    }

    /** Whether a write with that id was kept before. */
    public boolean kept(UUID id) {
        return entities.find(IdempotentWrite.class, id) != null;
    }

    /** For several castings at once, in one order for everybody, so that no two wait for each other. */
    public void take(Collection<UUID> parts) {
        for (UUID id : parts.stream().distinct().sorted().toList()) {
            if (entities.createNativeQuery("select id from part where id = :id for no key update", UUID.class)
                    .setParameter("id", id)
                    .getResultList()
                    .isEmpty()) {
                throw new NotHereException("There is no such part: go back to the bench.");
            }
        }
    }
}
