package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartPage;
import homalon.core.cut.TouchComparison;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.StepKind;
import homalon.core.sure.CleanDepth;
import homalon.core.sure.CleanUp;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import java.util.List;
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
        Optional<Paintings.Painting> painted = paintings.now(part, ledger);
        page.show("view", views.of(part, ledger, plan, compared, painted, clean, page.writer()));
        List<TouchComparison.Look> looks = paintings.looks(part, ledger, planner.cells(part));
        Optional<CleanUp> cleaning = compared.filter(c -> clean.isEmpty() && !planner.readAgain(part))
                .flatMap(c -> planner.cleanUp(
                        part,
                        c,
                        plan.orElseThrow().plan().school(),
                        looks,
                        PlanViews.totals(plan.orElseThrow().plan().passes())));
        page.show("bandsWith", looks.isEmpty() ? "lies between" : "was touched");
        page.show("bands", cleaning.map(PlanViews::bands).orElse(List.of()));
        page.show(
                "toGo",
                cleaning.flatMap(c -> toGo(
                                c.depth(),
                                looks.isEmpty() ? "read" : "read and touched",
                                ledger.ledger().totals(part.visit().id()).thisJob(),
                                page.writer()))
                        .orElse(null));
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

    /** Nothing once it is as good as clean. */
    private static Optional<String> toGo(CleanDepth depth, String by, Length cut, LengthWriter writer) {
        double mostly = depth.mostly() - cut.mm();
        double likely = Math.max(0, depth.likely() - cut.mm());
        if (mostly < PassWatcher.ONE_FIGURE) {
            return Optional.empty();
        }
        String more = writer.full(mostly) + " more cleans it in 9 of 10 cases";
        return Optional.of(
                likely < PassWatcher.ONE_FIGURE
                        ? "By what was " + by + " it is as likely clean as not; " + more + "."
                        : "By what was " + by + " " + more + ", " + writer.full(likely) + " as likely as not.");
    }
}
