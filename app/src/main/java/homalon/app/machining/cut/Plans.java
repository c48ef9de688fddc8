package homalon.app.machining.cut;

import homalon.app.casting.part.CastingLocks;
import homalon.app.casting.part.Parts;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Supports;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SupportsInput;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.Tooling;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps the plans of visits. */
@Service
@Transactional
@RequiredArgsConstructor
public class Plans {
    private final CastingLocks locks;
    private final PlanRepository plans;
    private final Clock clock;

    @Transactional(readOnly = true)
    public Optional<PlanFile> of(PartFile part) {
        return Optional.ofNullable(
                ofVisits(List.of(part.visit().id())).get(part.visit().id()));
    }

    /** The plan that stands, by id of the visit. */
    @Transactional(readOnly = true)
    public Map<UUID, PlanFile> ofVisits(Collection<UUID> visits) {
        Map<UUID, PlanFile> last = new HashMap<>();
        everyOf(visits).forEach(p -> last.put(p.visit(), p));
        return last;
    }

    /**
     * Ids of castings in the shop with a plan, in four lots: of the same metal, not cut yet and of the same customer; of other
     * customers; cut already; of another metal. In each the earliest due is first.
     */
    @Transactional(readOnly = true)
    public List<UUID> plannedBeside(PartFile first, String words, int from, int most) {
        return plans.planned(first.id(), first.material().name(), first.customer(), Parts.like(words), from, most);
    }

    /** Every plan ever kept for the visits, in the order kept; the last of each visit stands. */
    @Transactional(readOnly = true)
    public List<PlanFile> everyOf(Collection<UUID> visits) {
        return plans.ofVisits(visits).stream().map(Plans::file).toList();
    }

    /** Keeps a plan without saying what it is cut with. */
    public void choose(PartFile part, UUID id, SurveyFile survey, CutPlan plan, UUID by) {
        choose(part, id, survey, plan, Tooling.NONE, by);
    }

    /** Keeps a plan; an earlier one of the visit is superseded by it. */
    public void choose(PartFile part, UUID id, SurveyFile survey, CutPlan plan, Tooling tooling, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("plan", "to plan a cut");
        PlanRow row = new PlanRow();
        row.id = id;
        row.jobId = part.visit().id();
        row.surveyId = survey.id();
        row.surveyRevision = survey.revision();
        row.machine = tooling.machine();
        row.cutter = tooling.cutter();
        row.steelInFace = tooling.steelInFace();
        row.school = plan.school();
        row.depth = plan.toClean().nanometres();
        row.atLeast = plan.atLeast().nanometres();
        row.finishLast = plan.finishLast();
        row.shimStep = plan.footing().stock().step().nanometres();
        row.shimLeaves = SupportsInput.lengths(plan.footing().stock().leaves());
        row.supports = SupportsInput.write(plan.footing().supports());
        row.shims = SupportsInput.lengths(plan.shims());
        row.skim = plan.depths().skim().nanometres();
        row.deepest = plan.depths().deepest().nanometres();
        row.finish = plan.depths().finish().nanometres();
        row.madeBy = by;
        row.madeAt = clock.instant();
        plan.passes().passes().forEach(p -> row.passes.add(new PlanPass(p.kind(), p.depth())));
        plans.saveAndFlush(row);
    }

    private static List<PassPlan.Pass> passes(PlanRow p) {
        List<PassPlan.Pass> passes = new ArrayList<>();
        Length total = Length.ZERO;
        for (PlanPass pass : p.passes) {
            total = total.plus(pass.depth());
            passes.add(new PassPlan.Pass(pass.kind(), pass.depth(), total));
        }
        return passes;
    }

    private static PlanFile file(PlanRow p) {
        List<Length> leaves = SupportsInput.lengths(p.shimLeaves);
        ShimStock stock =
                leaves.isEmpty() ? ShimStock.inSteps(Length.ofNanometres(p.shimStep)) : ShimStock.ofLeaves(leaves);
        PassPlan.Depths depths = new PassPlan.Depths(
                Length.ofNanometres(p.skim), Length.ofNanometres(p.deepest), Length.ofNanometres(p.finish));
        CutPlan plan = new CutPlan(
                p.school,
                SupportsInput.lengths(p.shims),
                new Supports(SupportsInput.read(p.supports), stock),
                Length.ofNanometres(p.depth),
                Length.ofNanometres(p.atLeast),
                depths,
                new PassPlan(passes(p)),
                p.finishLast);
        Tooling tooling = new Tooling(p.machine, p.cutter, p.steelInFace);
        return new PlanFile(p.id, p.jobId, p.surveyRevision, plan, tooling, p.madeBy, p.madeAt);
    }
}
