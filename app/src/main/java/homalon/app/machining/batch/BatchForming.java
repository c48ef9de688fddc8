package homalon.app.machining.batch;

import homalon.app.casting.part.CastingLocks;
import homalon.app.casting.part.Parts;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.core.cut.Batch;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.Tooling;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Puts castings together on one table. */
@Service
@Transactional
@RequiredArgsConstructor
public class BatchForming {
    private final Parts parts;
    private final BatchCandidates candidates;
    private final Plans plans;
    private final Planner planner;
    private final CastingLocks locks;
    private final BatchRepository batches;
    private final Clock clock;

    /**
     * Puts castings together: each keeps its own set-up and is given the passes that clean the worst of them.
     *
     * @throws BadInputException when they cannot be cut together, naming why
     */
    public void form(UUID id, List<String> tags, BenchUnit unit, UUID by) {
        // The same table set up by two hands at once is one table: the second waits, and finds it there.
        locks.take(tags.stream().map(t -> parts.byTag(t).id()).toList());
        if (batches.existsById(id)) {
            return;
        }
        List<PartFile> members = tags.stream().distinct().map(parts::byTag).toList();
        if (members.isEmpty()) {
            throw new BadInputException("parts", "app.batch.mark-the-castings-that-go-on-the-table");
        }
        members.forEach(part -> part.requireHere("parts", "to cut it"));
        List<PlanFile> own = new ArrayList<>();
        List<Batch.Member> asked = new ArrayList<>();
        for (BatchCandidates.Candidate c : candidates.judged(members.get(0), members)) {
            if (!c.not().isEmpty()) {
                throw new BadInputException(
                        "parts", "app.batch.cannot-go-on-this-table", c.part().tag(), c.not());
            }
            PlanFile plan = c.plan().orElseThrow();
            own.add(plan);
            asked.add(new Batch.Member(
                    c.part().tag(), c.part().material(), plan.plan().toClean().mm()));
        }
        PassPlan.Depths depths = own.get(0).plan().depths();
        Batch batch = Batch.of(asked, depths, RuleBook.dialStep(unit));
        List<UUID> visits = members.stream().map(p -> p.visit().id()).toList();
        batches.save(new BatchRow(id, visits, by, clock.instant()));
        for (int i = 0; i < members.size(); i++) {
            CutPlan shared = own.get(i).plan().cutInPasses(depths, batch.passes());
            join(id, members.get(i), shared, own.get(i).tooling(), by);
        }
    }

    private void join(UUID id, PartFile part, CutPlan plan, Tooling tooling, UUID by) {
        ComparedFace compared = planner.compare(part, plan.footing())
                .orElseThrow(() -> new BadInputException(
                        "parts", "app.batch.cannot-go-on-this-table-its-face-cannot", part.tag()));
        plans.choose(part, Batches.derived(id, part), compared.survey(), plan, tooling, by);
    }
}
