package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartPage;
import homalon.core.route.StepKind;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Fills the page of the cutting log. */
@Component
@RequiredArgsConstructor
class CutPages {
    private final Planner planner;
    private final Plans plans;
    private final CutViews views;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final Cutting cutting;
    private final SetupChecks setupChecks;

    void fill(PartPage page) {
        PartFile part = page.part();
        Optional<PlanFile> plan = plans.of(part);
        Optional<ComparedFace> compared =
                plan.flatMap(p -> planner.compare(part, p.plan().footing()));
        LedgerFile ledger = ledgers.of(part);
        Optional<String> clean = cutting.saidClean(part, ledger);
        page.show("view", views.of(part, ledger, plan, compared, paintings.now(part, ledger), clean, page.writer()));
        page.show(
                "mayStop", clean.isEmpty() && !ledger.passes(part.visit().id()).isEmpty());
        page.frame(StepKind.CUT);
        page.show(
                "checks",
                compared.flatMap(c -> c.setUps()
                                .with(plan.orElseThrow().plan().school())
                                .map(r -> setupChecks.view(part, c.setUps(), r.setUp(), page.writer())))
                        .orElse(null));
    }
}
