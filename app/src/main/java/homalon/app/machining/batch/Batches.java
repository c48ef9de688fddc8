package homalon.app.machining.batch;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.app.casting.part.Turns;
import homalon.app.foundation.web.NotHereException;
import homalon.app.machining.cut.CutTogether;
import homalon.app.machining.cut.Cutting;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.core.cut.Batch;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.Tooling;
import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts castings together on one table and writes their passes. */
@Service
@Transactional
@RequiredArgsConstructor
public class Batches implements CutTogether {
    /** More castings than this lie on no table. */
    private static final int MOST_MARKED = 40;

    private final Parts parts;
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final Cutting cutting;
    private final Turns turns;
    private final BatchRepository batches;
    private final EntityManager entities;
    private final Clock clock;

    /**
     * A casting that could go on the table, or why it could not.
     *
     * @param plan that stands
     * @param not why it cannot; empty when it can
     */
    record Candidate(PartFile part, Optional<PlanFile> plan, String not) {}

    /** Some castings in the shop with a plan; whether there are more. */
    record Candidates(List<Candidate> some, boolean more) {}

    /** Which could go on the table with the first: on the first page that one itself and those marked already lead. */
    @Transactional(readOnly = true)
    Candidates candidates(PartFile first, List<String> marked, String words, int page, int size) {
        List<UUID> found = plans.plannedBeside(first, words, page * size, size + 1);
        List<PartFile> all = new ArrayList<>();
        if (page == 0) {
            all.add(first);
            marked.stream()
                    .distinct()
                    .limit(MOST_MARKED)
                    .flatMap(t -> parts.find(t).stream())
                    .filter(p -> !p.id().equals(first.id()))
                    .forEach(all::add);
        }
        parts.byIds(found.subList(0, Math.min(size, found.size()))).stream()
                .filter(p -> !marked.contains(p.tag()))
                .forEach(all::add);
        return new Candidates(judged(first, all), found.size() > size);
    }

    private List<Candidate> judged(PartFile first, List<PartFile> asked) {
        List<UUID> visits = asked.stream().map(p -> p.visit().id()).toList();
        Map<UUID, PlanFile> planned = plans.ofVisits(visits);
        Map<UUID, LedgerFile> books =
                ledgers.ofParts(asked.stream().map(PartFile::id).toList());
        Set<UUID> taken = inBatches(visits);
        List<Candidate> all = new ArrayList<>();
        for (PartFile part : asked) {
            UUID visit = part.visit().id();
            Optional<PlanFile> plan = Optional.ofNullable(planned.get(visit));
            boolean cut = !books.get(part.id()).passes(visit).isEmpty();
            all.add(new Candidate(part, plan, not(first, part, plan.isPresent(), cut, taken.contains(visit))));
        }
        return all;
    }

    private static String not(PartFile first, PartFile part, boolean planned, boolean cut, boolean taken) {
        if (!planned) {
            return "it has no plan yet";
        }
        if (part.material() != first.material()) {
            return part.material().words() + ": another cutter";
        }
        if (cut) {
            return "it is being cut already";
        }
        return taken ? "it is in another batch" : "";
    }

    private Set<UUID> inBatches(Collection<UUID> visits) {
        return Set.copyOf(batches.taken(visits));
    }

    /**
     * Puts castings together: each keeps its own set-up and is given the passes that clean the worst of them.
     *
     * @throws BadInputException when they cannot be cut together, naming why
     */
    public void form(UUID id, List<String> tags, BenchUnit unit, UUID by) {
        // The same table set up by two hands at once is one table: the second waits, and finds it there.
        turns.take(tags.stream().map(t -> parts.byTag(t).id()).toList());
        if (batches.existsById(id)) {
            return;
        }
        List<PartFile> members = tags.stream().distinct().map(parts::byTag).toList();
        if (members.isEmpty()) {
            throw new BadInputException("parts", "Mark the castings that go on the table together.");
        }
        members.forEach(part -> part.requireHere("parts", "to cut it"));
        List<PlanFile> own = new ArrayList<>();
        List<Batch.Member> asked = new ArrayList<>();
        for (Candidate c : judged(members.get(0), members)) {
            if (!c.not().isEmpty()) {
                throw new BadInputException("parts", c.part().tag() + " cannot go on this table: " + c.not() + ".");
            }
            PlanFile plan = c.plan().orElseThrow();
            own.add(plan);
            asked.add(new Batch.Member(
                    c.part().tag(), c.part().material(), plan.plan().toClean().mm()));
        }
        PassPlan.Depths depths = own.get(0).plan().depths();
        Batch batch = Batch.of(asked, depths, RuleBook.dialStep(unit));
        List<UUID> visits = members.stream().map(p -> p.visit().id()).toList();
        entities.persist(new BatchRow(id, visits, by, clock.instant()));
        for (int i = 0; i < members.size(); i++) {
            CutPlan shared = own.get(i).plan().cutInPasses(depths, batch.passes());
            join(id, members.get(i), shared, own.get(i).tooling(), by);
        }
    }

    private void join(UUID id, PartFile part, CutPlan plan, Tooling tooling, UUID by) {
        ComparedFace compared = planner.compare(part, plan.footing())
                .orElseThrow(() -> new BadInputException(
                        "parts",
                        part.tag() + " cannot go on this table: its face cannot be judged any more. Read it again."));
        plans.choose(part, derived(id, part), compared.survey(), plan, tooling, by);
    }

    private static UUID derived(UUID id, PartFile part) {
        return UUID.nameUUIDFromBytes((id + ":" + part.visit().id()).getBytes(StandardCharsets.UTF_8));
    }

    /** The castings of a batch in the order they were put together. */
    @Transactional(readOnly = true)
    List<PartFile> members(UUID batch) {
        List<PartFile> members = parts.ofVisits(batches.visits(batch));
        if (members.isEmpty()) {
            throw new NotHereException("There is no such batch: go back to the bench.");
        }
        return members;
    }

    /** Tags of the castings of a batch. */
    @Transactional(readOnly = true)
    List<String> tags(UUID batch) {
        return members(batch).stream().map(PartFile::tag).toList();
    }

    /** The batch that a casting's present visit is cut in. */
    @Override
    @Transactional(readOnly = true)
    public Optional<UUID> ofPart(PartFile part) {
        return batches.ofVisit(part.visit().id());
    }

    /** One pass over all of them: a line in each ledger, or in none. */
    public void pass(UUID batch, UUID id, Length depth, Ledgers.Notes notes, Cutting.Seen seen, UUID by) {
        List<PartFile> members = members(batch);
        turns.take(members.stream().map(PartFile::id).toList());
        for (PartFile part : members) {
            cutting.pass(part, derived(id, part), depth, notes, Optional.of(batch), seen, by);
        }
    }

    /**
     * Takes the last pass of the batch that stands back, in every ledger where it stands.
     *
     * @throws BadInputException when none stands, or no reason is given
     */
    void takeBack(UUID batch, UUID id, String why, UUID by) {
        List<PartFile> members = members(batch);
        turns.take(members.stream().map(PartFile::id).toList());
        boolean any = members.stream().anyMatch(p -> ledgers.holds(derived(id, p)));
        if (any) {
            return;
        }
        for (PartFile part : members) {
            Optional<LedgerFile.Line> last = last(ledgers.of(part), batch);
            if (last.isPresent()) {
                ledgers.reverse(part, derived(id, part), last.get().id(), why, by);
                any = true;
            }
        }
        if (!any) {
            throw new BadInputException("why", "No pass of this batch stands: there is nothing to take back.");
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
