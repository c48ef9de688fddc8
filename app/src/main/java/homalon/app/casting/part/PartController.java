package homalon.app.casting.part;

import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Happened;
import homalon.core.route.Step;
import homalon.core.route.StepKind;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Source;
import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Booking in, the intake sheet, finding a part, and what holds it up. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PartController {
    private static final int AT_ONCE = 15;
    private static final int MOST_PAGES = 10_000;

    private final Parts parts;
    private final Faces faces;
    private final StepSource steps;
    private final PartShells shells;
    private final List<LayoutGuard> guards;
    private final OwnLayouts layouts;

    @GetMapping("/parts/{tag}")
    String part(@PathVariable String tag, Shell shell) {
        PartFile part = parts.byTag(tag);
        Step next = PartHead.next(steps.steps(List.of(part), shell.writer())
                .get(part.visit().id())
                .strip());
        return "redirect:/parts/" + part.tag() + "/" + StepPages.path(next.kind());
    }

    @GetMapping("/find")
    String find(
            @RequestParam(defaultValue = "") String q,
            @RequestParam(defaultValue = "0") int page,
            @RequestHeader(name = "HX-Request", required = false) String swap,
            Model model) {
        if (page < 0 || page > MOST_PAGES) {
            throw new BadInputException("page", "Page: 0 to " + MOST_PAGES + ".");
        }
        Optional<PartFile> exact = parts.find(q);
        if (exact.isPresent()) {
            return "redirect:/parts/" + exact.get().tag();
        }
        Parts.Some found = parts.search(q, page, AT_ONCE);
        model.addAttribute("q", q);
        model.addAttribute("found", found.parts());
        model.addAttribute("next", found.more() ? page + 1 : null);
        return swap == null ? "part/find" : "part/find :: list";
    }

    /** What the search field proposes while one types. */
    @GetMapping("/find/list")
    String findList(@RequestParam(defaultValue = "") String q, Model model) {
        model.addAttribute(
                "found", q.isBlank() ? List.of() : parts.search(q, 0, 6).parts());
        model.addAttribute("q", q);
        model.addAttribute("next", null);
        return "part/find :: list";
    }

    /** @param as tag of a casting like it, or a layout's name in this shop; blank for an empty sheet */
    @GetMapping("/parts/new")
    String blank(@RequestParam(defaultValue = "") String as, Shell shell, Model model, HttpServletResponse response) {
        Optional<PartFile> tagged = parts.find(as);
        Optional<PartFile> like = tagged.or(() -> layouts.named(as));
        IntakeForm form = like.map(l -> IntakeForm.as(l, parts.nextTag(), tagged.isPresent(), shell.unit()))
                .orElseGet(() -> IntakeForm.blank(parts.nextTag()));
        List<BadInputException.Problem> problems = new ArrayList<>();
        if (!as.isBlank() && like.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            problems.add(new BadInputException.Problem(
                    "as",
                    "No casting has the tag “" + as.strip()
                            + "”, and no layout that name: key another, or fill the sheet."));
        }
        sheet(model, form, problems, shell);
        model.addAttribute("as", as.strip());
        model.addAttribute("head", null);
        return "part/intake";
    }

    /** Keeps the layout of a casting under a name, to book others as it. */
    @PostMapping("/parts/{tag}/layout-name")
    String name(
            @PathVariable String tag,
            @RequestParam(defaultValue = "") String layout,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        layouts.name(part, layout, me.id());
        return "redirect:/parts/" + part.tag() + "/intake";
    }

    @PostMapping("/parts")
    String book(
            @RequestParam Map<String, String> given,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        IntakeForm form = new IntakeForm(given);
        try {
            PartFile part = parts.book(form.read(shell.unit()), me.id());
            return "redirect:/parts/" + part.tag();
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            sheet(model, form, e.problems(), shell);
            model.addAttribute("head", null);
            return "part/intake";
        }
    }

    @GetMapping("/parts/{tag}/intake")
    String intake(PartFile part, Shell shell, Model model) {
        sheet(model, IntakeForm.of(part, shell.unit()), List.of(), shell);
        model.addAttribute("head", shells.head(part, StepKind.BOOKED, shell.writer()));
        return "part/intake";
    }

    @PostMapping("/parts/{tag}/intake")
    String amend(
            @PathVariable String tag,
            @RequestParam Map<String, String> given,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        PartFile part = parts.byTag(tag);
        given.put("tag", part.tag());
        IntakeForm form = new IntakeForm(given);
        try {
            boolean free = guards.stream().allMatch(g -> g.layoutMayChange(part));
            parts.amend(form.read(shell.unit()), form.version(), free, me.id());
            return "redirect:/parts/" + part.tag() + "/intake";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            sheet(model, form, e.problems(), shell);
            model.addAttribute("head", shells.head(part, StepKind.BOOKED, shell.writer()));
            return "part/intake";
        }
    }

    @PostMapping("/parts/layout-preview")
    String preview(@RequestParam Map<String, String> given, Shell shell, Model model) {
        preview(model, new IntakeForm(given), shell);
        return "part/intake :: preview";
    }

    @PostMapping("/parts/{tag}/stuck")
    String stick(
            @PathVariable String tag,
            @RequestParam(defaultValue = "") String on,
            @RequestParam(defaultValue = "") String why,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        Optional<StuckOn> whom =
                Arrays.stream(StuckOn.values()).filter(s -> s.name().equals(on)).findFirst();
        parts.stick(part.id(), whom, why, me.id());
        return "redirect:/parts/" + part.tag() + "/intake";
    }

    @PostMapping("/parts/{tag}/come-back")
    String comeBack(
            @PathVariable String tag,
            @RequestParam(defaultValue = "") String history,
            @RequestParam(defaultValue = "") String wishes,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.comeBack(tag, history, wishes, me.id());
        return "redirect:/parts/" + part.tag();
    }

    private void sheet(Model model, IntakeForm form, List<BadInputException.Problem> problems, Shell shell) {
        model.addAttribute("form", form);
        model.addAttribute("as", "");
        model.addAttribute("layoutNames", layouts.names());
        model.addAttribute("problems", problems);
        model.addAttribute("happened", Happened.values());
        model.addAttribute("kinds", PartKind.values());
        model.addAttribute("materials", Material.values());
        model.addAttribute("rows", BoltRows.values());
        model.addAttribute("chambers", ChamberShape.values());
        model.addAttribute("sources", List.of(Source.MAKER, Source.GASKET, Source.SHOP));
        model.addAttribute("gaskets", GasketKind.values());
        model.addAttribute("stuckOn", StuckOn.values());
        LengthWriter writer = shell.writer();
        model.addAttribute("defaultOverall", writer.full(RuleBook.overall(cylinders(form))));
        model.addAttribute("defaultWindow", writer.full(RuleBook.DEFAULT_IN_WINDOW));
        model.addAttribute("defaultSide", writer.size(RuleBook.DEFAULT_WINDOW));
        preview(model, form, shell);
    }

    /** As keyed; four where nobody keyed a number. */
    private static int cylinders(IntakeForm form) {
        String typed = form.get("cylinders");
        return typed != null && typed.strip().matches("[1-8]") ? Integer.parseInt(typed.strip()) : 4;
    }

    private void preview(Model model, IntakeForm form, Shell shell) {
        model.addAttribute("drawing", null);
        model.addAttribute("sizes", null);
        try {
            LayoutNumbers numbers = form.layout(shell.unit());
            LengthWriter writer = shell.writer();
            model.addAttribute(
                    "drawing",
                    FaceDrawing.of(faces.layout(numbers), "layout", "Layout of the face, front at the left")
                            .svg());
            model.addAttribute(
                    "sizes",
                    "Length " + writer.size(numbers.length()) + ", width " + writer.size(numbers.width())
                            + ", bolt holes "
                            + writer.size(numbers.boltHole())
                            + (form.get("length").isEmpty() || form.get("width").isEmpty()
                                    ? " · sizes left empty are proposed from the bore: measure and overwrite them"
                                    : ""));
        } catch (BadInputException e) {
            model.addAttribute("sizes", e.getMessage());
        }
    }
}
