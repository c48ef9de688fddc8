package homalon.app.foundation.store;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.app.casting.part.ChangeLine;
import homalon.app.casting.part.Changes;
import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.people.People;
import homalon.app.testing.RunningShop;
import homalon.app.testing.RunningShop.Shop;
import homalon.core.quantity.BenchUnit;
import homalon.core.route.Operation;
import homalon.core.visit.Wanted;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.transaction.IllegalTransactionStateException;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Lines of evidence as PostgreSQL keeps them. */
@ExtendWith(RunningShop.class)
class EvidenceLogTest {
    private final EvidenceLog log;
    private final Changes changes;
    private final WorkLog work;
    private final Parts parts;
    private final PartFinder finder;
    private final UUID somebody;
    private final TransactionTemplate transaction;

    EvidenceLogTest(Shop shop) {
        log = shop.bean(EvidenceLog.class);
        changes = shop.bean(Changes.class);
        work = shop.bean(WorkLog.class);
        parts = shop.bean(Parts.class);
        finder = shop.bean(PartFinder.class);
        somebody = shop.bean(People.class).all().get(0).id();
        transaction = new TransactionTemplate(shop.bean(PlatformTransactionManager.class));
    }

    private UUID visit() {
        return finder.page(Wanted.read("here", BenchUnit.MM), 0, 1)
                .parts()
                .get(0)
                .visit()
                .id();
    }

    /** Whoever writes is told the number at once: by it, what another keyed meanwhile is known. */
    @Test
    void aLineHasItsNumberAsSoonAsItIsWritten() {
        UUID visit = visit();
        long[] seqs = transaction.execute(t -> {
            changes.write(visit, ChangeLine.What.SOAK, "one", somebody);
            changes.write(visit, ChangeLine.What.SOAK, "two", somebody);
            List<ChangeLine> all = log.ofVisit(ChangeLine.class, visit);
            List<ChangeLine> last = all.subList(all.size() - 2, all.size());
            assertEquals(
                    List.of("one", "two"), last.stream().map(ChangeLine::detail).toList());
            assertEquals(
                    List.of(last.get(1)),
                    log.after(ChangeLine.class, List.of(visit), last.get(0).seq()));
            assertEquals(
                    "two",
                    log.find(ChangeLine.class, last.get(1).id()).orElseThrow().detail());
            t.setRollbackOnly();
            return last.stream().mapToLong(ChangeLine::seq).toArray();
        });
        assertTrue(0 < seqs[0] && seqs[0] < seqs[1]);
        assertTrue(
                changes.of(visit).stream().noneMatch(c -> c.what() == ChangeLine.What.SOAK),
                "taken back with its transaction");
    }

    @Test
    void nothingIsWrittenOutsideOfATransaction() {
        ChangeLine kept = transaction.execute(t -> {
            changes.write(visit(), ChangeLine.What.SOAK, "one", somebody);
            t.setRollbackOnly();
            List<ChangeLine> all = changes.of(visit());
            return all.get(all.size() - 1);
        });
        assertThrows(IllegalTransactionStateException.class, () -> log.add(kept));
    }

    /** What was taken back stands no more, nor does the line that takes it back; both stay in the tables. */
    @Test
    void aLineThatIsTakenBackStandsNoMore() {
        var part = parts.byTag("T-0412");
        UUID first = UUID.randomUUID();
        UUID second = UUID.randomUUID();
        transaction.executeWithoutResult(t -> {
            work.write(part, first, WorkEntry.Kind.DID, Operation.CLEAN, "", somebody);
            work.write(part, second, WorkEntry.Kind.DID, Operation.CLEAN, "again", somebody);
            work.takeBack(part, UUID.randomUUID(), first, somebody);
            List<UUID> standing = work.of(part).stream().map(WorkEntry::id).toList();
            assertTrue(standing.contains(second) && !standing.contains(first));
            List<WorkEntry> all = log.ofVisit(WorkEntry.class, part.visit().id());
            WorkEntry back = all.get(all.size() - 1);
            assertEquals(first, back.withdraws());
            assertEquals(Operation.CLEAN.name(), back.what());
            assertTrue(all.stream().anyMatch(e -> e.id().equals(first)));
            Map<UUID, List<WorkEntry>> byVisit =
                    work.ofVisits(List.of(part.visit().id(), UUID.randomUUID()));
            assertEquals(
                    standing,
                    byVisit.get(part.visit().id()).stream().map(WorkEntry::id).toList());
            t.setRollbackOnly();
        });
    }
}
