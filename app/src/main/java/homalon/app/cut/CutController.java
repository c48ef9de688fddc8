package homalon.app.cut;

import homalon.app.ledger.LedgerFile;
import homalon.app.ledger.Ledgers;
import homalon.app.part.PartFile;
import homalon.app.part.PartShells;
import homalon.app.part.Parts;
import homalon.app.part.StepKind;
import homalon.app.security.Signed;
import homalon.app.tools.Toolbox;
import homalon.app.web.OneRead;
import homalon.app.web.Shell;
import homalon.core.cut.CutPlan;
import homalon.core.cut.Cutter;
import homalon.core.cut.PassPlan;
import homalon.core.cut.Removal;
import homalon.core.cut.School;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Comparing set-ups, keeping a plan, logging passes. */
@Controller
class CutController {
    private final Parts parts;
    private final PartShells shells;
    private final Planner planner;
    private final Plans plans;
    private final PlanViews planViews;
    private final CutViews cutViews;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final SetupChecks setupChecks;
    private final FeedsViews feedsViews;
    private final Toolbox toolbox;
    private final OneRead reading;

    CutController(
            Parts parts,
            PartShells shells,
            Planner planner,
            Plans plans,
            PlanViews planViews,
            CutViews cutViews,
            Ledgers ledgers,
            Paintings paintings,
            SetupChecks setupChecks,
            FeedsViews feedsViews,
            Toolbox toolbox,
            OneRead reading) {
        this.parts = parts;
        this.shells = shells;
        this.planner = planner;
        this.plans = plans;
        this.planViews = planViews;
        this.cutViews = cutViews;
        this.ledgers = ledgers;
        this.paintings = paintings;
        this.setupChecks = setupChecks;
        this.feedsViews = feedsViews;
        this.toolbox = toolbox;
        this.reading = reading;
    }

    @GetMapping("/parts/{tag}/plan")
    String plan(
            @PathVariable String tag,
            @RequestParam(required = false) School school,
            @RequestParam(required = false) String skim,
            @RequestParam(required = false) String deepest,
            @RequestParam(required = false) String finish,
            @RequestParam(required = false) String machine,
            @RequestParam(required = false) String cutter,
            @RequestParam(defaultValue = "false") boolean steel,
            @RequestParam(defaultValue = "COMPOSITE") GasketKind gasket,
            @RequestParam(defaultValue = "") String ra,
            @ModelAttribute("shell") Shell shell,
            Model model,
            HttpServletResponse response) {
        Tooling tooling = machine == null && cutter == null ? null : new Tooling(name(machine), name(cutter), steel);
        return reading.of(() -> plan(
                parts.byTag(tag),
                school,
                new Typed(skim, deepest, finish),
                new FeedsViews.Asked(tooling, gasket, ra),
                shell,
                model,
                response));
    }

    private static String name(String given) {
        return given == null ? "" : given.strip();
    }

    private String plan(
            PartFile part,
            School school,
            Typed typed,
            FeedsViews.Asked asked,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        Optional<Planner.Compared> compared = planner.compare(part, RuleBook.shimStep(shell.unit()));
        model.addAttribute("head", shells.head(part, StepKind.PLAN, shell.writer()));
        model.addAttribute("view", null);
        model.addAttribute("said", null);
        if (compared.isEmpty()) {
            return "cut/plan";
        }
        Optional<PlanFile> kept = plans.of(part);
        School chosen =
                school != null ? school : kept.map(k -> k.plan().school()).orElse(School.LEAST_REMOVAL);
        PassPlan.Depths start = kept.map(k -> k.plan().depths()).orElse(PassPlan.Depths.usual(shell.unit()));
        PassPlan.Depths depths = start;
        try {
            depths = typed.depths(start, shell.unit());
        } catch (IllegalArgumentException e) {
            response.setStatus(422);
            model.addAttribute("said", e.getMessage());
        }
        PlanView view = planViews.of(compared.get(), chosen, depths, kept, shell.writer());
        Tooling tooling = asked.tooling() != null
                ? asked.tooling()
                : kept.map(PlanFile::tooling).orElse(Tooling.NONE);
        PassPlan passes = PassPlan.toClean(
                compared.get()
                        .setUps()
                        .with(chosen)
                        .orElse(compared.get().setUps().removals().get(0))
                        .setUp()
                        .toClean(),
                depths,
                RuleBook.dialStep(shell.unit()));
        FeedsViews.Asked wished = new FeedsViews.Asked(tooling, asked.gasket(), asked.ra());
        try {
            model.addAttribute("feeds", feedsViews.of(part, wished, passes, shell.writer()));
        } catch (BadInputException e) {
            response.setStatus(422);
            model.addAttribute("said", e.getMessage());
            wished = new FeedsViews.Asked(tooling, asked.gasket(), "");
            model.addAttribute("feeds", feedsViews.of(part, wished, passes, shell.writer()));
        }
        model.addAttribute("view", view);
        return "cut/plan";
    }

    /** Depths of the passes as they were keyed; what is empty stays as it was. */
    private record Typed(String skim, String deepest, String finish) {
        PassPlan.Depths depths(PassPlan.Depths start, BenchUnit unit) {
            return new PassPlan.Depths(
                    depth(skim, start.skim(), unit),
                    depth(deepest, start.deepest(), unit),
                    depth(finish, start.finish(), unit));
        }

        private static Length depth(String typed, Length otherwise, BenchUnit unit) {
            return typed == null || typed.isBlank() ? otherwise : Length.parse(typed, unit);
        }
    }

    @PostMapping("/parts/{tag}/plan")
    String keep(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam School school,
            @RequestParam(required = false) String skim,
            @RequestParam(required = false) String deepest,
            @RequestParam(required = false) String finish,
            @RequestParam(defaultValue = "") String machine,
            @RequestParam(defaultValue = "") String cutter,
            @RequestParam(defaultValue = "false") boolean steel,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell) {
        PartFile part = parts.byTag(tag);
        Planner.Compared compared = planner.compare(part, RuleBook.shimStep(shell.unit()))
                .orElseThrow(() ->
                        new BadInputException("plan", "The face is not measured: key at least four places first."));
        Removal removal = compared.setUps()
                .with(school)
                .orElseThrow(() -> new BadInputException(
                        "school", "The thickness was not measured: key it at the corners, or choose another set-up."));
        PassPlan.Depths depths =
                new Typed(skim, deepest, finish).depths(PassPlan.Depths.usual(shell.unit()), shell.unit());
        CutPlan plan = CutPlan.of(compared.setUps(), removal, depths, RuleBook.dialStep(shell.unit()));
        Tooling tooling = new Tooling(name(machine), name(cutter), steel);
        feedsViews.check(part, tooling);
        plans.choose(part, id, compared.survey(), plan, tooling, me.id());
        return "redirect:/parts/" + part.tag() + "/cut";
    }

    @GetMapping("/parts/{tag}/cut")
    String cut(@PathVariable String tag, @ModelAttribute("shell") Shell shell, Model model) {
        return reading.of(() -> {
            fill(parts.byTag(tag), shell, model);
            return "cut/cut";
        });
    }

    private void fill(PartFile part, Shell shell, Model model) {
        Optional<PlanFile> plan = plans.of(part);
        Optional<Planner.Compared> compared =
                plan.flatMap(p -> planner.compare(part, p.plan().shimStep()));
        LedgerFile ledger = ledgers.of(part);
        model.addAttribute(
                "view", cutViews.of(part, ledger, plan, compared, paintings.now(part, ledger), shell.writer()));
        model.addAttribute("head", shells.head(part, StepKind.CUT, shell.writer()));
        model.addAttribute(
                "checks",
                compared.flatMap(c -> c.setUps()
                                .with(plan.orElseThrow().plan().school())
                                .map(r -> setupChecks.view(part, c.setUps(), r.setUp(), shell.writer())))
                        .orElse(null));
        model.addAttribute("machines", toolbox.machines());
        model.addAttribute("cutters", toolbox.cutters());
        model.addAttribute("edgesUsed", edgesUsed());
    }

    /** Which edges of the shop's cutters have cut, so that a fresh one is turned in. */
    private String edgesUsed() {
        List<String> words = new ArrayList<>();
        for (Cutter cutter : toolbox.cutters()) {
            List<String> used = ledgers.edgesUsed(cutter.name());
            if (!used.isEmpty()) {
                words.add(cutter.name() + ": edges " + String.join(", ", used) + " of " + cutter.edges() + " have cut");
            }
        }
        return String.join(" · ", words);
    }

    /** Logs one pass and answers with what it changes on the page. */
    @PostMapping("/parts/{tag}/cut/readings")
    String pass(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "") String machine,
            @RequestParam(defaultValue = "") String cutter,
            @RequestParam(defaultValue = "") String edge,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        if (typed.strip().equals("/")) {
            throw new BadInputException("typed", "A pass is not skipped: key its depth, or plan the cut anew.");
        }
        Length depth = Length.parse(typed, unit);
        boolean steel = plans.of(part).map(p -> p.tooling().steelInFace()).orElse(false);
        feedsViews.check(part, new Tooling(machine, cutter, steel));
        ledgers.pass(part, id, depth, new Ledgers.Notes(machine, cutter, edge, note, typed.strip()), me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Keeps what was read over the supports, or with the clamps off or on. */
    @PostMapping("/parts/{tag}/cut/check")
    String check(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam SetupChecks.Kind kind,
            @RequestParam List<String> read,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        setupChecks.read(part, id, kind, read, shell.unit(), me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Keeps what was painted as touched after the last pass. */
    @PostMapping("/parts/{tag}/cut/touched")
    String touched(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam String cells,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        paintings.paint(part, ledgers.of(part), id, cells, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    @PostMapping("/parts/{tag}/cut/reverse")
    String reverse(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam UUID line,
            @RequestParam(defaultValue = "") String why,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        ledgers.reverse(part, id, line, why, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    @PostMapping("/parts/{tag}/cut/opening")
    String opening(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String depth,
            @RequestParam(defaultValue = "") String sure,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            @ModelAttribute("shell") Shell shell,
            Model model) {
        PartFile part = parts.byTag(tag);
        Entry.Kind kind = Arrays.stream(Entry.Kind.values())
                .filter(k -> k.isOpening() && k.name().equals("OPENING_" + sure))
                .findFirst()
                .orElseThrow(() -> new BadInputException(
                        "sure", "Say how sure the figure is: known, estimated, or nobody knows."));
        Length removed =
                depth.isBlank() && kind == Entry.Kind.OPENING_UNKNOWN ? Length.ZERO : Length.parse(depth, shell.unit());
        ledgers.opening(part, id, kind, removed, note, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }
}
