package homalon.app.machining.batch;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.CastingLocks;
import homalon.app.machining.cut.Cutting;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes the passes of castings that lie on one table: a line in each ledger. */
@Service
@Transactional
@RequiredArgsConstructor
public class BatchPasses {
    private final Batches batches;
    private final Ledgers ledgers;
    private final Cutting cutting;
    private final CastingLocks locks;

    /** One pass over all of them: a line in each ledger, or in none. */
    public void pass(UUID batch, UUID id, Length depth, Ledgers.Notes notes, Cutting.Seen seen, UUID by) {
        List<PartFile> members = batches.members(batch);
        locks.take(members.stream().map(PartFile::id).toList());
        for (PartFile part : members) {
            cutting.pass(part, Batches.derived(id, part), depth, notes, Optional.of(batch), seen, by);
        }
    }

    /**
     * Takes the last pass of the batch that stands back, in every ledger where it stands.
     *
     * @throws BadInputException when none stands, or no reason is given
     */
    void takeBack(UUID batch, UUID id, String why, UUID by) {
        List<PartFile> members = batches.members(batch);
        locks.take(members.stream().map(PartFile::id).toList());
        boolean any = members.stream().anyMatch(p -> ledgers.holds(Batches.derived(id, p)));
        if (any) {
            return;
        }
        for (PartFile part : members) {
            Optional<LedgerFile.Line> last = last(ledgers.of(part), batch);
            if (last.isPresent()) {
                ledgers.reverse(part, Batches.derived(id, part), last.get().id(), why, by);
                any = true;
            }
        }
        if (!any) {
            throw new BadInputException("why", "app.batch.no-pass-of-this-batch-stands-there-is");
        }
    }

    private static Optional<LedgerFile.Line> last(LedgerFile ledger, UUID batch) {
        return ledger.lines().stream()
                .filter(l -> l.stands() && l.batch().filter(batch::equals).isPresent())
                .reduce((a, b) -> b);
    }

    /** Tags whose passes differ from the first one's: a line was taken back in one ledger only. */
    static boolean apart(Collection<LedgerFile> ledgers, UUID batch) {
        Set<List<Length>> cut = new HashSet<>();
        for (LedgerFile ledger : ledgers) {
            cut.add(ledger.lines().stream()
                    .filter(l -> l.stands() && l.batch().filter(batch::equals).isPresent())
                    .map(LedgerFile.Line::depth)
                    .toList());
        }
        return cut.size() > 1;
    }
}
