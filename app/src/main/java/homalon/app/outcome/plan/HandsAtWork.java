package homalon.app.outcome.plan;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Who is at which casting: whoever wrote about it last, a short while ago. Nobody says that a work is begun. */
@Component
@RequiredArgsConstructor
class HandsAtWork {
    /** Whoever writes nothing for so long has left it. */
    private static final Duration STILL = Duration.ofMinutes(20);
    /** No work in hands goes on for longer without anything written between. */
    private static final Duration LONGEST = Duration.ofHours(4);

    private final EntityManager entities;
    private final Clock clock;

    /** @param since when this person began to write about it */
    record Hand(UUID visit, UUID person, Instant since) {}

    private record Written(UUID visit, UUID person, Instant at) {}

    /** By visit; each person is at one at the most. */
    @Transactional(readOnly = true)
    public Map<UUID, Hand> now() {
        Instant now = clock.instant();
        Map<UUID, Hand> ofPerson = new HashMap<>();
        Map<UUID, Instant> last = new HashMap<>();
        for (Written line : lines(now.minus(LONGEST))) {
            Hand before = ofPerson.get(line.person());
            boolean same = before != null
                    && before.visit().equals(line.visit())
                    && Duration.between(last.get(line.person()), line.at()).compareTo(STILL) <= 0;
            if (!same) {
                ofPerson.put(line.person(), new Hand(line.visit(), line.person(), line.at()));
            }
            last.put(line.person(), line.at());
        }
        Map<UUID, Hand> all = new HashMap<>();
        ofPerson.values().stream()
                .filter(h -> !last.get(h.person()).isBefore(now.minus(STILL)))
                .forEach(h ->
                        all.merge(h.visit(), h, (a, b) -> last.get(a.person()).isAfter(last.get(b.person())) ? a : b));
        return all;
    }

    /** What was written about the visits that changed last, the oldest first. */
    @SuppressWarnings("unchecked") // as wide as what is selected
    private List<Written> lines(Instant since) {
        List<Object[]> rows =
                entities.createNativeQuery("""
                        select e.job_id, cast(e.line ->> 'by_person' as uuid), cast(e.line ->> 'at' as timestamptz)
                        from visit_evidence e
                        where e.job_id in (select job_id from visit_revision order by revision desc limit 8)
                          and e.line ->> 'by_person' is not null and cast(e.line ->> 'at' as timestamptz) > :since
                        order by 3""").setParameter("since", since).getResultList();
        return rows.stream()
                .map(r -> new Written((UUID) r[0], (UUID) r[1], (Instant) r[2]))
                .toList();
    }
}
