package homalon.app.shop.tools;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import homalon.core.cut.Machine;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShimStock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
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
        } catch (IllegalArgumentException e) {
            page.unprocessable();
            return page(page, e.getMessage());
        }
    }

    @PostMapping("/blades")
    String blades(Page page, @RequestParam(defaultValue = "") String blades) {
        return doing(page, "These feelers are offered from now on.", () -> {
            if (blades.length() > 600) {
                throw new BadInputException("blades", "Key at most sixty blades.");
            }
            toolbox.useBlades(blades, page.unit());
        });
    }

    @PostMapping("/shims")
    String shims(Page page, @RequestParam(defaultValue = "") String shims) {
        return doing(page, "Set-ups are rounded to these shims from now on.", () -> {
            if (shims.length() > 300) {
                throw new BadInputException("shims", "Key at most twenty-four thicknesses.");
            }
            toolbox.useShims(shims, page.unit());
        });
    }

    @PostMapping("/machines")
    String machine(
            Page page,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String minRpm,
            @RequestParam(defaultValue = "") String maxRpm,
            @RequestParam(defaultValue = "") String power,
            @RequestParam(defaultValue = "") String minFeed,
            @RequestParam(defaultValue = "") String maxFeed,
            @RequestParam(defaultValue = "") String step) {
        return doing(
                page,
                name + " is in the list.",
                () -> toolbox.add(new Machine(
                        name.strip(),
                        number(minRpm),
                        number(maxRpm),
                        number(power),
                        number(minFeed),
                        number(maxFeed),
                        step.isBlank() ? Optional.empty() : Optional.of(Length.parse(step, page.unit())))));
    }

    @PostMapping("/cutters")
    String cutter(
            Page page,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "CBN") Insert insert,
            @RequestParam(defaultValue = "") String diameter,
            @RequestParam(defaultValue = "") String noseRadius,
            @RequestParam(defaultValue = "") String edges) {
        return doing(
                page,
                name + " is in the list.",
                () -> toolbox.add(
                        new Cutter(name.strip(), insert, size(diameter), size(noseRadius), (int) number(edges))));
    }

    @PostMapping("/retire")
    String retire(Page page, @RequestParam String name) {
        return doing(
                page,
                name + " is no longer offered; what was cut with it stays in the ledgers.",
                () -> toolbox.retire(name));
    }

    private static double size(String typed) {
        return typed.isBlank() ? 0 : Length.parseSize(typed, BenchUnit.MM).mm();
    }

    /** 0 for what is no number, which no tool has. */
    private static double number(String typed) {
        try {
            double value = Double.parseDouble(typed.strip().replace(',', '.'));
            return Double.isFinite(value) ? value : 0;
        } catch (NumberFormatException e) {
            return 0;
        }
    }
}
