package homalon.app.machining.cut;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.CutPlan;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.geometry.Box;
import homalon.core.input.BadInputException;
import homalon.core.part.SealingBands;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.CleanUp;
import homalon.core.visit.ComparedFace;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SupportsInput;
import homalon.core.visit.Tooling;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** Comparing set-ups and keeping a plan. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PlanController {
    private final Planner planner;
    private final Plans plans;
    private final PlanViews views;
    private final FeedsViews feedsViews;
    private final RoomSource room;
    private final CutToCome toCome;
    private final Toolbox toolbox;

    /**
     * What was keyed beside the set-ups; null or empty leaves what the kept plan has, else what is usual.
     *
     * @param along of each support from the front end
     * @param across of each support from the lower edge of the drawing
     * @param total wanted off in all, when more than cleaning is
     * @param finishLast true for a reference cut now and the finish pass last; null leaves it as kept unless something else was keyed
     * @param usual true puts the supports back where they are proposed
     */
    record Asked(
            SetUpMethod school,
            String skim,
            String deepest,
            String finish,
            String machine,
            String cutter,
            Boolean steel,
            GasketKind gasket,
            String ra,
            List<String> along,
            List<String> across,
            Boolean usual,
            String total,
            Boolean finishLast) {

        /** What is wanted off in all, beyond cleaning it. */
        Length atLeast(Length otherwise, BenchUnit unit) {
            return total == null ? otherwise : depth(total, Length.ZERO, unit);
        }

        boolean inStages(Optional<PlanFile> kept) {
            return (finishLast == null && skim == null)
                    ? kept.map(k -> k.plan().finishLast()).orElse(false)
                    : Boolean.TRUE.equals(finishLast);
        }

        boolean proposed() {
            return Boolean.TRUE.equals(usual);
        }

        PassPlan.Depths depths(PassPlan.Depths start, BenchUnit unit) {
            return new PassPlan.Depths(
                    depth(skim, start.skim(), unit),
                    depth(deepest, start.deepest(), unit),
                    depth(finish, start.finish(), unit));
        }

        private static Length depth(String typed, Length otherwise, BenchUnit unit) {
            return typed == null || typed.isBlank() ? otherwise : Length.parse(typed, unit);
        }

        Supports footing(Supports start, BenchUnit unit, Box box) {
            return along == null || across == null || proposed()
                    ? start
                    : SupportsInput.keyed(along, across, box, start.stock(), unit);
        }

        Tooling tooling(Optional<PlanFile> kept) {
            return machine == null && cutter == null
                    ? kept.map(PlanFile::tooling).orElse(Tooling.NONE)
                    : new Tooling(tidy(machine), tidy(cutter), Boolean.TRUE.equals(steel));
        }

        private static String tidy(String given) {
            return given == null ? "" : given.strip();
        }
    }

    @GetMapping("/parts/{tag}/plan")
    String plan(PartPage page, @ModelAttribute("asked") Asked asked) {
        return page.read(() -> show(page, asked));
    }

    private String show(PartPage page, Asked asked) {
        PartFile part = page.part();
        BenchUnit unit = page.unit();
        page.frame(StepKind.PLAN);
        page.show("view", null);
        page.show("said", null);
        page.show("shrunk", false);
        bands(page);
        Optional<PlanFile> kept = plans.of(part);
        Supports start = start(part, kept, unit, asked.proposed());
        Supports footing = start;
        PassPlan.Depths usual = kept.map(k -> k.plan().depths()).orElse(PassPlan.Depths.usual(unit));
        PassPlan.Depths depths = usual;
        Length atLeast = kept.map(k -> k.plan().atLeast()).orElse(Length.ZERO);
        try {
            footing = asked.footing(start, unit, planner.box(part));
            depths = deepest(part, asked.tooling(kept), asked.depths(usual, unit), unit);
            atLeast = CutPlan.checked(asked.atLeast(atLeast, unit));
        } catch (homalon.core.input.RefusedInputException e) {
            page.refuse(e);
        }
        Optional<ComparedFace> compared = planner.compare(part, footing);
        if (compared.isPresent()) {
            show(page, asked, kept, compared.get(), depths, atLeast);
        }
        return "machining/cut/plan";
    }

    private static void bands(PartPage page) {
        SealingBands bands = page.part().bands();
        page.show("ring", page.writer().size(bands.ring()));
        page.show("bead", page.writer().size(bands.bead()));
        page.show("opening", bands.opening().map(page.writer()::size).orElse(""));
        page.show("ink", bands.inked().map(l -> l.written(page.unit())).orElse(""));
        page.show("bandsKeyed", page.part().visit().bands().isPresent());
    }

    private void show(
            PartPage page,
            Asked asked,
            Optional<PlanFile> kept,
            ComparedFace compared,
            PassPlan.Depths depths,
            Length atLeast) {
        PartFile part = page.part();
        SetUpMethod chosen = asked.school() != null
                ? asked.school()
                : kept.map(k -> k.plan().school()).orElse(SetUpMethod.LEAST_REMOVAL);
        Length step = step(asked.tooling(kept), page.unit());
        boolean stages = asked.inStages(kept);
        PassPlan.Depths fitted = fitted(part, compared, chosen, depths, atLeast, step);
        PlanView view = views.of(compared, chosen, fitted, atLeast, stages, step, kept, page.writer());
        page.show("shrunk", !fitted.equals(depths));
        page.show("finishLast", stages);
        page.show(
                "room",
                room.of(part, toCome.of(part, view.passPlan().total()).mm(), page.writer())
                        .orElse(null));
        page.show("feeds", feeds(page, asked, kept, view.passPlan()));
        page.show("view", view);
        Optional<CleanUp> cleaning =
                planner.cleanUp(part, compared, chosen, List.of(), PlanViews.totals(view.passPlan()));
        page.show("bands", cleaning.map(PlanViews::bands).orElse(List.of()));
        page.show(
                "spread",
                cleaning.map(c -> PlanViews.spread(c.depth(), page.writer())).orElse(null));
        page.show("hasPlan", kept.isPresent());
    }

    /** As keyed, or as shallow as steel in the face asks for. */
    private PassPlan.Depths deepest(PartFile part, Tooling tooling, PassPlan.Depths asked, BenchUnit unit) {
        return feedsViews.steelInFace(part, tooling) ? asked.throughSteel(unit) : asked;
    }

    /** Depths are whole steps of the machine's own dial. */
    private Length step(Tooling tooling, BenchUnit unit) {
        return toolbox.machine(tooling.machine()).map(m -> m.dialStep(unit)).orElseGet(() -> RuleBook.dialStep(unit));
    }

    /** Passes that take no more than may come off, where the face needs less. */
    private PassPlan.Depths fitted(
            PartFile part,
            ComparedFace compared,
            SetUpMethod school,
            PassPlan.Depths depths,
            Length atLeast,
            Length dialStep) {
        double clean =
                compared.setUps().with(school).map(r -> r.setUp().toClean()).orElse(0.0);
        double may = room.mayComeOff(part) + toCome.cut(part).mm();
        return depths.fitted(Math.max(clean, atLeast.mm()), may, dialStep);
    }

    /** Where it stands in the kept plan, or as proposed; the shims are those that the shop has now. */
    private Supports start(PartFile part, Optional<PlanFile> kept, BenchUnit unit, boolean usual) {
        Supports proposed = planner.usual(part, unit);
        return usual
                ? proposed
                : kept.map(k -> new Supports(k.plan().footing().supports(), proposed.stock()))
                        .orElse(proposed);
    }

    private FeedsViews.View feeds(PartPage page, Asked asked, Optional<PlanFile> kept, PassPlan passes) {
        PartFile part = page.part();
        Tooling tooling = asked.tooling(kept);
        GasketKind gasket = Optional.ofNullable(asked.gasket())
                .or(() -> part.visit().gasketKind())
                .orElse(GasketKind.COMPOSITE);
        String ra = asked.ra() == null ? "" : asked.ra();
        try {
            return feedsViews.of(part, new FeedsViews.Asked(tooling, gasket, ra), passes, page.writer());
        } catch (BadInputException e) {
            page.refuse(e);
            return feedsViews.of(part, new FeedsViews.Asked(tooling, gasket, ""), passes, page.writer());
        }
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/plan")
    String keep(PartPage page, @ModelAttribute("asked") Asked asked) {
        PartFile part = page.part();
        BenchUnit unit = page.unit();
        Supports footing = asked.footing(planner.usual(part, unit), unit, planner.box(part));
        ComparedFace compared = planner.compare(part, footing)
                .orElseThrow(() -> new BadInputException("plan", "app.cut.the-face-is-not-measured-key-at-least"));
        SetUpMethod school = Optional.ofNullable(asked.school())
                .orElseThrow(() -> new BadInputException("school", "app.cut.choose-one-of-the-set-ups"));
        Removal removal = compared.setUps()
                .with(school)
                .orElseThrow(() -> new BadInputException("school", "app.cut.the-thickness-was-not-measured-key-it"));
        Length atLeast = asked.atLeast(Length.ZERO, unit);
        Length dialStep = step(asked.tooling(Optional.empty()), unit);
        PassPlan.Depths depths =
                deepest(part, asked.tooling(Optional.empty()), asked.depths(PassPlan.Depths.usual(unit), unit), unit);
        CutPlan plan = CutPlan.of(
                        compared.setUps(),
                        removal,
                        fitted(part, compared, school, depths, atLeast, dialStep),
                        dialStep,
                        atLeast)
                .finishedLast(Boolean.TRUE.equals(asked.finishLast()));
        Tooling tooling = asked.tooling(Optional.empty());
        feedsViews.check(part, tooling);
        page.require(Operation.CUT_PLAN);
        plans.choose(part, page.lineId(), compared.survey(), plan, tooling, page.me());
        return "redirect:/parts/" + part.tag() + "/cut";
    }
}
