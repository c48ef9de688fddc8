package homalon.app.outcome.route;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.work.WorkEntry;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.store.SingleOrList;
import homalon.app.machining.cut.Plans;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was written about visits beside the readings of their faces; read anew only when a line was added since. */
@Component
@RequiredArgsConstructor
class VisitRecords {
    /** The lines about one visit; of the ledger all those of the part. */
    record Lines(VisitChecks.Checked checked, Optional<PlanFile> plan, LedgerFile ledger, VisitWork.Done done) {
        List<WorkEntry> work() {
            return done.work();
        }
    }

    private record Version(PartFile part, long revision) {}

    private record Of(UUID visit) implements Question<Lines> {}

    private final EntityManager entities;
    private final VisitChecks checks;
    private final Plans plans;
    private final Ledgers ledgers;
    private final VisitWork work;
    private final Memory memory;

    /** By visit, for parts that are here now. */
    Map<UUID, Lines> of(List<PartFile> parts) {
        if (parts.isEmpty()) {
            return Map.of();
        }
        // Read before the lines: a line that is added between makes them newer than their revision, never older.
        Map<UUID, Long> revisions = revisions(parts);
        Map<UUID, Lines> all = new HashMap<>();
        List<PartFile> unread = new ArrayList<>();
        for (PartFile part : parts) {
            memory.at(new Of(part.visit().id()), version(part, revisions))
                    .ifPresentOrElse(lines -> all.put(part.visit().id(), lines), () -> unread.add(part));
        }
        read(unread).forEach((part, lines) -> {
            UUID visit = part.visit().id();
            all.put(visit, memory.keep(new Of(visit), version(part, revisions), lines));
        });
        return all;
    }

    private static Version version(PartFile part, Map<UUID, Long> revisions) {
        return new Version(part, revisions.getOrDefault(part.visit().id(), 0L));
    }

    private Map<UUID, Long> revisions(List<PartFile> parts) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        // As numbers, not as entities: a session that read one before would be given that one again.
        return entities
                .createQuery(
                        "select visit, revision from VisitRevision where visit " + SingleOrList.among(visits),
                        Counted.class)
                .setParameter("ids", SingleOrList.value(visits))
                .getResultList()
                .stream()
                .collect(Collectors.toMap(Counted::visit, Counted::revision));
    }

    private record Counted(UUID visit, long revision) {}

    private Map<PartFile, Lines> read(List<PartFile> parts) {
        Map<PartFile, Lines> all = new HashMap<>();
        if (parts.isEmpty()) {
            return all;
        }
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, VisitChecks.Checked> checked = checks.of(parts);
        Map<UUID, PlanFile> planned = plans.ofVisits(visits);
        Map<UUID, LedgerFile> cut =
                ledgers.ofParts(parts.stream().map(PartFile::id).toList());
        Map<UUID, VisitWork.Done> done = work.of(visits);
        for (PartFile part : parts) {
            UUID visit = part.visit().id();
            all.put(
                    part,
                    new Lines(
                            checked.get(visit),
                            Optional.ofNullable(planned.get(visit)),
                            cut.get(part.id()),
                            done.get(visit)));
        }
        return all;
    }
}
