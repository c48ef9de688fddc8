package homalon.app.foundation.store;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Adds lines of evidence and reads them in their order. Whoever adds has taken the casting's turn before. */
@Repository
@Transactional(propagation = Propagation.MANDATORY)
@RequiredArgsConstructor
public class EvidenceLog {
    private final EntityManager entities;
    private final Clock clock;

    /**
     * Writes a line at once, with the time of now and its number.
     *
     * @throws org.springframework.dao.DataIntegrityViolationException when a line of that id stands, or the database refuses it
     */
    public <L extends EvidenceLine> L add(L line) {
        return add(line, clock.instant());
    }

    /** The same at a time that several lines share. */
    public <L extends EvidenceLine> L add(L line, Instant at) {
        line.writtenAt(at);
        entities.persist(line);
        return line;
    }

    /** The line of that id; empty where none was kept. */
    public <L extends EvidenceLine> Optional<L> find(Class<L> type, UUID id) {
        return entities
                .createQuery("from " + type.getName() + " where id = :id", type)
                .setParameter("id", id)
                .getResultList()
                .stream()
                .findFirst();
    }

    /** Every line of these visits, in the order written. */
    public <L extends VisitLine> List<L> ofVisits(Class<L> type, Collection<UUID> visits) {
        return after(type, visits, 0);
    }

    /** Those that came after the line of that number. */
    public <L extends VisitLine> List<L> after(Class<L> type, Collection<UUID> visits, long seq) {
        if (visits.isEmpty()) {
            return List.of();
        }
        String which = SingleOrList.among(visits);
        return entities.createQuery(
                        "from " + type.getName() + " where visit " + which + " and seq > :seq order by seq", type)
                .setParameter("ids", SingleOrList.value(visits))
                .setParameter("seq", seq)
                .getResultList();
    }

    /** Those of one visit. */
    public <L extends VisitLine> List<L> ofVisit(Class<L> type, UUID visit) {
        return ofVisits(type, List.of(visit));
    }

    /** Lines that stand: neither taken back nor taking back. */
    public static <L extends EvidenceLine> List<L> standing(Collection<L> lines) {
        Set<UUID> gone = new HashSet<>();
        lines.forEach(l -> gone.add(l.withdraws()));
        return lines.stream()
                .filter(l -> l.withdraws() == null && !gone.contains(l.id()))
                .toList();
    }

    /** By visit, each in the order given. */
    public static <L extends VisitLine> Map<UUID, List<L>> byVisit(Collection<L> lines) {
        return lines.stream().collect(Collectors.groupingBy(VisitLine::visit));
    }
}
