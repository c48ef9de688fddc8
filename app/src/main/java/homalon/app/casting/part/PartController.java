package homalon.app.casting.part;

import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.part.BoltRows;
import homalon.core.part.ChamberShape;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Happened;
import homalon.core.route.StepKind;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.GasketKind;
import homalon.core.rulebook.Source;
import homalon.core.visit.IntakeForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Booking in, and the intake sheet. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class PartController {
    private final Parts parts;
    private final FreeTags tags;
    private final Faces faces;
    private final List<LayoutGuard> guards;
    private final OwnLayouts layouts;
    private final VoidedBookings voided;
    private final ShopSettings settings;

    /** @param as tag of a casting like it, or a layout's name in this shop; blank for an empty sheet */
    @GetMapping("/parts/new")
    String blank(Page page, @RequestParam(defaultValue = "") String as) {
        Optional<PartFile> tagged = parts.find(as);
        Optional<PartFile> like = tagged.or(() -> layouts.named(as));
        IntakeForm form = like.map(l -> IntakeForm.as(l, tags.next(), tagged.isPresent(), page.unit()))
                .orElseGet(() -> IntakeForm.blank(tags.next()));
        List<BadInputException.Problem> problems = new ArrayList<>();
        if (!as.isBlank() && like.isEmpty()) {
            page.unprocessable();
            problems.add(new BadInputException.Problem(
                    "as", Message.of("app.part.no-casting-has-the-tag-and-no-layout", as.strip())));
        }
        sheet(page, form, problems);
        page.show("as", as.strip());
        page.show("head", null);
        return "casting/part/intake";
    }

    /** Keeps the layout of a casting under a name, to book others as it. */
    @PostMapping("/parts/{tag}/layout-name")
    String name(PartPage page, @RequestParam(defaultValue = "") String layout) {
        PartFile part = page.part();
        layouts.name(part, layout, page.me());
        return "redirect:/parts/" + part.tag() + "/intake";
    }

    @PostMapping("/parts")
    String book(Page page, @RequestParam Map<String, String> given) {
        IntakeForm form = new IntakeForm(given);
        try {
            PartFile part = parts.book(form.read(page.unit(), settings.now()), page.me());
            return "redirect:/parts/" + part.tag();
        } catch (BadInputException e) {
            page.unprocessable();
            // The tag that is printed next is there already; the others were refused for what they are.
            boolean taken = parts.find(form.get("tag")).isPresent();
            sheet(page, taken ? form.withTag(tags.next()) : form, e.problems());
            page.show("head", null);
            return "casting/part/intake";
        }
    }

    /** The sheet as it was keyed so far, the rest filled as that casting. */
    @PostMapping("/parts/filled")
    String filled(Page page, @RequestParam String as, @RequestParam Map<String, String> given) {
        sheet(page, IntakeForm.filled(new IntakeForm(given), parts.byTag(as), page.unit()), List.of());
        page.show("head", null);
        return "casting/part/intake";
    }

    /** A booking that was a mistake. */
    @PostMapping("/parts/{tag}/void")
    String voids(PartPage page, @RequestParam(name = "void", defaultValue = "") String why) {
        PartFile part = page.part();
        try {
            return voided.voids(part, why, page.me()) ? "redirect:/parts/" + part.tag() : "redirect:/";
        } catch (BadInputException e) {
            page.unprocessable();
            sheet(page, IntakeForm.of(part, page.unit()), e.problems());
            page.frame(StepKind.BOOKED);
            return "casting/part/intake";
        }
    }

    @GetMapping("/parts/{tag}/intake")
    String intake(PartPage page) {
        sheet(page, IntakeForm.of(page.part(), page.unit()), List.of());
        page.frame(StepKind.BOOKED);
        return "casting/part/intake";
    }

    @PostMapping("/parts/{tag}/intake")
    String amend(PartPage page, @RequestParam Map<String, String> given) {
        PartFile part = page.part();
        given.put("tag", part.tag());
        IntakeForm form = new IntakeForm(given);
        try {
            boolean free = guards.stream().allMatch(g -> g.layoutMayChange(part));
            parts.amend(form.read(page.unit(), settings.now()), form.version(), free, page.me());
            return "redirect:/parts/" + part.tag() + "/intake";
        } catch (BadInputException e) {
            page.unprocessable();
            sheet(page, form, e.problems());
            page.frame(StepKind.BOOKED);
            return "casting/part/intake";
        }
    }

    @PostMapping("/parts/layout-preview")
    String preview(Page page, @RequestParam Map<String, String> given) {
        preview(page, new IntakeForm(given));
        return "casting/part/intake :: preview";
    }

    private void sheet(Page page, IntakeForm form, List<BadInputException.Problem> problems) {
        page.show("form", form);
        page.show("as", "");
        page.show("layoutNames", layouts.names());
        page.show("problems", problems);
        page.show("happened", Happened.values());
        page.show("kinds", PartKind.values());
        page.show("materials", Material.values());
        page.show("rows", BoltRows.values());
        page.show("chambers", ChamberShape.values());
        page.show("sources", List.of(Source.MAKER, Source.GASKET, Source.SHOP));
        page.show("gaskets", GasketKind.values());
        page.show("stuckOn", StuckOn.values());
        LengthWriter writer = page.writer();
        FaceDefaults defaults = settings.now();
        page.show("defaultOverall", writer.full(defaults.overall(cylinders(form))));
        page.show("defaultWindow", writer.full(defaults.inSquare()));
        page.show("defaultSide", writer.size(defaults.square()));
        preview(page, form);
    }

    /** As keyed; four where nobody keyed a number. */
    private static int cylinders(IntakeForm form) {
        String typed = form.get("cylinders");
        return typed != null && typed.strip().matches("[1-8]") ? Integer.parseInt(typed.strip()) : 4;
    }

    private void preview(Page page, IntakeForm form) {
        page.show("drawing", null);
        page.show("sizes", null);
        try {
            LayoutNumbers numbers = form.layout(page.unit());
            LengthWriter writer = page.writer();
            page.show(
                    "drawing",
                    FaceDrawing.of(faces.layout(numbers), "layout", "Layout of the face, front at the left")
                            .svg());
            page.show(
                    "sizes",
                    "Length " + writer.size(numbers.length()) + ", width " + writer.size(numbers.width())
                            + ", bolt holes "
                            + writer.size(numbers.boltHole())
                            + (form.get("length").isEmpty() || form.get("width").isEmpty()
                                    ? " · sizes left empty are proposed from the bore: measure and overwrite them"
                                    : ""));
        } catch (BadInputException e) {
            page.show("sizes", Words.of(e.sentence()));
        }
    }
}
