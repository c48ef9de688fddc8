package homalon.app.shop.tools;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.cut.Insert;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.quantity.Quantity;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShimStock;
import java.util.List;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the shop owns to work with; for the owner. */
@ToOwners
@Controller
@RequestMapping("/shop/tools")
@RequiredArgsConstructor
class ToolsController {
    private final Toolbox toolbox;
    private final Journal journal;

    @GetMapping
    String page(Page page) {
        return page(page, null);
    }

    private String page(Page page, String said) {
        page.show(
                "blades",
                toolbox.blades(page.unit()).blades().stream()
                        .map(page.writer()::exact)
                        .collect(Collectors.joining(" ")));
        page.show("own", toolbox.ownBlades().isPresent());
        page.show(
                "shims",
                toolbox.ownShims().map(ShimStock::leaves).orElse(List.of()).stream()
                        .map(page.writer()::exact)
                        .collect(Collectors.joining(" ")));
        page.show("shimStep", page.writer().full(RuleBook.shims(page.unit()).step()));
        page.show("machines", toolbox.machines());
        page.show("power", Quantity.POWER);
        page.show("feed", Quantity.FEED);
        page.show("cutters", toolbox.cutters());
        page.show("inserts", Insert.values());
        page.show("said", said);
        return "shop/tools/tools";
    }

    /** Something that may be refused in a sentence. */
    private interface Wish {
        void fulfil();
    }

    private String doing(Page page, String done, Wish wish) {
        try {
            wish.fulfil();
            journal.write(Journal.What.TOOLS_CHANGED, page.me(), done);
            return page(page, done);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, Words.of(e.sentence()));
        }
    }

    @PostMapping("/blades")
    String blades(Page page, @RequestParam(defaultValue = "") String blades) {
        return doing(page, "These feelers are offered from now on.", () -> {
            if (blades.length() > 600) {
                throw new BadInputException("blades", "app.tools.key-at-most-sixty-blades");
            }
            toolbox.useBlades(blades, page.unit());
        });
    }

    @PostMapping("/shims")
    String shims(Page page, @RequestParam(defaultValue = "") String shims) {
        return doing(page, "Set-ups are rounded to these shims from now on.", () -> {
            if (shims.length() > 300) {
                throw new BadInputException("shims", "app.tools.key-at-most-twenty-four-thicknesses");
            }
            toolbox.useShims(shims, page.unit());
        });
    }

    @PostMapping("/machines")
    String machine(Page page, @ModelAttribute MachineForm form) {
        return doing(page, form.name() + " is in the list.", () -> toolbox.add(form.machine(page.unit())));
    }

    @PostMapping("/cutters")
    String cutter(Page page, @ModelAttribute CutterForm form) {
        return doing(page, form.name() + " is in the list.", () -> toolbox.add(form.cutter(page.unit())));
    }

    @PostMapping("/retire")
    String retire(Page page, @RequestParam String name) {
        return doing(
                page,
                name + " is no longer offered; what was cut with it stays in the ledgers.",
                () -> toolbox.retire(name));
    }
}
