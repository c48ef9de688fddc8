package homalon.app.machining.batch;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.foundation.devices.PartChanges;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.machining.cut.CutView;
import homalon.app.machining.cut.CutViews;
import homalon.app.machining.cut.PassForm;
import homalon.app.machining.cut.PlanViews;
import homalon.app.machining.cut.Planner;
import homalon.app.machining.cut.Plans;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Batch;
import homalon.core.cut.PassPlan;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Cutting castings that lie on one table. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BatchController {
    private final Batches batches;
    private final BatchPasses passes;
    private final Plans plans;
    private final Planner planner;
    private final Ledgers ledgers;
    private final CutViews cutViews;
    private final Toolbox toolbox;

    @GetMapping("/batch/{id}")
    String batch(Page page, @PathVariable UUID id) {
        return page.read(() -> {
            fill(page, id);
            return "machining/batch/batch";
        });
    }

    private void fill(Page page, UUID id) {
        page.show("view", view(id, page.unit()));
        page.show("machines", toolbox.machines());
        page.show("cutters", toolbox.cutters());
    }

    private BatchView view(UUID id, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        List<PartFile> on = batches.members(id);
        Map<UUID, LedgerFile> books =
                ledgers.ofParts(on.stream().map(PartFile::id).toList());
        Map<UUID, PlanFile> plan =
                plans.ofVisits(on.stream().map(p -> p.visit().id()).toList());
        List<PlanFile> planned = on.stream().map(p -> plan.get(p.visit().id())).toList();
        List<Batch.Member> asked = IntStream.range(0, on.size())
                .mapToObj(i -> new Batch.Member(
                        on.get(i).tag(),
                        on.get(i).material(),
                        planned.get(i).plan().toClean().mm()))
                .toList();
        Batch batch = Batch.of(asked, planned.get(0).plan().depths(), RuleBook.dialStep(unit));
        PassPlan passes = planned.get(0).plan().passes();
        List<CutView> cuts = IntStream.range(0, on.size())
                .mapToObj(i -> cut(on.get(i), books.get(on.get(i).id()), planned.get(i), writer))
                .toList();
        List<BatchView.Member> members = IntStream.range(0, on.size())
                .mapToObj(i -> member(on.get(i), planned.get(i), batch.members().get(i), cuts.get(i), passes, writer))
                .toList();
        CutView first = cuts.get(0);
        boolean begun =
                !books.get(on.get(0).id()).passes(on.get(0).visit().id()).isEmpty();
        return new BatchView(
                id,
                members,
                first.total(),
                first.planned(),
                first.headline(),
                first.walk(),
                first.machine(),
                first.cutter(),
                first.edge(),
                BatchPasses.apart(books.values(), id),
                begun);
    }

    private CutView cut(PartFile part, LedgerFile book, PlanFile plan, LengthWriter writer) {
        Optional<ComparedFace> compared = planner.compare(part, plan.plan().footing());
        return cutViews.of(part, book, Optional.of(plan), compared, Optional.empty(), Optional.empty(), writer);
    }

    private static BatchView.Member member(
            PartFile part, PlanFile plan, Batch.Share share, CutView cut, PassPlan passes, LengthWriter writer) {
        int clean = share.clean().orElse(-1);
        return new BatchView.Member(
                part.tag(),
                part.name(),
                cut.picture().small().named("on-" + part.tag()).svg(),
                cut.share(),
                String.join("  ", PlanViews.shimWords(plan.plan().shims(), writer)),
                clean >= 0 && clean < passes.passes().size() ? Words.of(passes.name(clean)) : "",
                share.extra().signum() > 0 ? writer.number(share.extra()) : "",
                cut.life());
    }

    /** Logs one pass in every ledger and answers with what it changes on the page. */
    @ToMachinists
    @PostMapping("/batch/{batch}/readings")
    String pass(
            Page page,
            @PathVariable("batch") UUID batch,
            @Valid @ModelAttribute PassForm form,
            HttpServletRequest request) {
        passes.pass(batch, form.id(), form.depth(), form.notes(), form.known(), page.me());
        PartChanges.on(request, batches.tags(batch));
        fill(page, batch);
        return "machining/batch/batch :: live";
    }

    @ToMachinists
    @PostMapping("/batch/{id}/take-back")
    String takeBack(
            Page page,
            @PathVariable("id") UUID batch,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String why,
            HttpServletRequest request) {
        passes.takeBack(batch, id, why, page.me());
        PartChanges.on(request, batches.tags(batch));
        fill(page, batch);
        return "machining/batch/batch :: live";
    }
}
