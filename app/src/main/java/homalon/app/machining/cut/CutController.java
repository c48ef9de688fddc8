package homalon.app.machining.cut;

import homalon.app.casting.ledger.LedgerFile;
import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.Shell;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Cutter;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Entry;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.route.StepKind;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The cutting log: passes, what they touched, what was looked at before the cut. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CutController {
    private final Parts parts;
    private final PartShells shells;
    private final Planner planner;
    private final Plans plans;
    private final CutViews cutViews;
    private final Ledgers ledgers;
    private final Paintings paintings;
    private final SetupChecks setupChecks;
    private final Cutting cutting;
    private final CutTogether together;
    private final Toolbox toolbox;
    private final RoomSource room;
    private final CutToCome toCome;
    private final OneRead reading;

    @GetMapping("/parts/{tag}/cut")
    String cut(@PathVariable String tag, Shell shell, Model model) {
        return reading.of(() -> {
            fill(parts.byTag(tag), shell, model);
            return "cut/cut";
        });
    }

    private void fill(PartFile part, Shell shell, Model model) {
        Optional<PlanFile> plan = plans.of(part);
        Optional<Planner.Compared> compared =
                plan.flatMap(p -> planner.compare(part, p.plan().footing()));
        LedgerFile ledger = ledgers.of(part);
        Optional<String> clean = cutting.saidClean(part, ledger);
        model.addAttribute(
                "view", cutViews.of(part, ledger, plan, compared, paintings.now(part, ledger), clean, shell.writer()));
        model.addAttribute(
                "mayStop", clean.isEmpty() && !ledger.passes(part.visit().id()).isEmpty());
        model.addAttribute("head", shells.head(part, StepKind.CUT, shell.writer()));
        model.addAttribute(
                "checks",
                compared.flatMap(c -> c.setUps()
                                .with(plan.orElseThrow().plan().school())
                                .map(r -> setupChecks.view(part, c.setUps(), r.setUp(), shell.writer())))
                        .orElse(null));
        model.addAttribute(
                "room", room.of(part, toCome.of(part).mm(), shell.writer()).orElse(null));
        model.addAttribute("together", together.ofPart(part).isPresent());
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
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/readings")
    String pass(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam String typed,
            @RequestParam BenchUnit unit,
            @RequestParam(defaultValue = "") String machine,
            @RequestParam(defaultValue = "") String cutter,
            @RequestParam(defaultValue = "") String edge,
            @RequestParam(defaultValue = "") String note,
            @RequestParam(defaultValue = "") String place,
            @RequestParam(defaultValue = "0") long seen,
            @RequestParam(defaultValue = "false") boolean sure,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        if (typed.strip().equals("/")) {
            throw new BadInputException("typed", "A pass is not skipped: key its depth, or plan the cut anew.");
        }
        Length depth = Length.parse(typed, unit);
        Ledgers.Notes notes = new Ledgers.Notes(machine, cutter, edge, note, typed.strip());
        cutting.pass(part, id, depth, notes, Optional.empty(), Cutting.Seen.at(place, seen, sure, unit), me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Takes the last pass of this person back, as keyed wrong unless another reason is typed. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/undo")
    String undo(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "keyed wrong") String why,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        ledgers.reverseLast(part, id, why, me.id());
        response.setHeader(
                "X-Place",
                Integer.toString(ledgers.of(part).passes(part.visit().id()).size()));
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Clean where it must be: stop at what was taken. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/clean")
    String clean(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        cutting.clean(part, id, note, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Keeps what was read over the supports, or with the clamps off or on. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/check")
    String check(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam SetupChecks.Kind kind,
            @RequestParam List<String> read,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        setupChecks.read(part, id, kind, read, shell.unit(), me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Leaves a low spot off the sealing bands uncut, signed for. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/leave")
    String leave(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String why,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        cutting.leave(part, id, why, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    /** Keeps what the last pass was seen to touch: painted cell by cell, or said in a word. */
    @ToMachinists
    @PostMapping("/parts/{tag}/cut/touched")
    String touched(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String cells,
            @RequestParam(required = false) String touched,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        paintings.paint(
                part,
                ledgers.of(part),
                id,
                touched == null ? Paintings.painted(cells) : cutting.said(part, touched),
                me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cut/reverse")
    String reverse(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam UUID line,
            @RequestParam(defaultValue = "") String why,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        ledgers.reverse(part, id, line, why, me.id());
        fill(part, shell, model);
        return "cut/cut :: live";
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/cut/opening")
    String opening(
            PartFile part,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String depth,
            @RequestParam(defaultValue = "") String sure,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
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
