package homalon.app.casting.work;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The log of work on castings: operations done, added or waived, small checks ticked. Lines are taken back by further lines. */
@Service
@Transactional
@RequiredArgsConstructor
public class WorkLog {
    private final CastingLocks locks;
    private final EvidenceLog log;

    /** Lines that stand, by visit, in the order in which they were written. */
    @Transactional(readOnly = true)
    public Map<UUID, List<WorkEntry>> ofVisits(Collection<UUID> visits) {
        return EvidenceLog.byVisit(EvidenceLog.standing(log.ofVisits(WorkEntry.class, visits)));
    }

    @Transactional(readOnly = true)
    public List<WorkEntry> of(PartFile part) {
        return EvidenceLog.standing(log.ofVisit(WorkEntry.class, part.visit().id()));
    }

    /** Whether somebody signed for a small check on this visit. */
    @Transactional(readOnly = true)
    public boolean isTicked(PartFile part, Enum<?> check) {
        return of(part).stream()
                .anyMatch(e -> e.kind() == WorkEntry.Kind.TICKED && e.what().equals(check.name()));
    }

    /**
     * @return false when the line is there already: it was sent again
     * @throws BadInputException when the note is too long, or the part has left
     */
    public boolean write(PartFile part, UUID id, WorkEntry.Kind kind, Enum<?> what, String note, UUID by) {
        if (!locks.first(part, id)) {
            return false;
        }
        part.requireHere("work", "to work on it");
        String tidy = note == null ? "" : note.strip();
        if (tidy.length() > 300) {
            throw new BadInputException("note", "app.work.that-is-too-long-to-keep-at-most-300");
        }
        if (kind == WorkEntry.Kind.WAIVED && tidy.isEmpty()) {
            throw new BadInputException("note", "app.work.say-why-it-is-left-out-such-as-no");
        }
        log.add(new WorkEntry(id, part.visit().id(), kind, what.name(), tidy, by));
        return true;
    }

    /** Takes a line back by a second one. */
    public void takeBack(PartFile part, UUID id, UUID wrong, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("work", "to work on it");
        WorkEntry line = of(part).stream()
                .filter(e -> e.id().equals(wrong))
                .findFirst()
                .orElseThrow(() -> new BadInputException("work", "app.work.that-line-was-taken-back-already"));
        log.add(line.takenBack(id, by));
    }
}
