package homalon.app.shop.tools;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Shell;
import homalon.core.cut.Cutter;
import homalon.core.cut.Insert;
import homalon.core.cut.Machine;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.ShimStock;
import jakarta.servlet.http.HttpServletResponse;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
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
    String page(Shell shell, Model model) {
        return page(shell, model, null);
    }

    private String page(Shell shell, Model model, String said) {
        model.addAttribute(
                "blades",
                toolbox.blades(shell.unit()).blades().stream()
                        .map(shell.writer()::exact)
                        .collect(Collectors.joining(" ")));
        model.addAttribute("own", toolbox.ownBlades().isPresent());
        model.addAttribute(
                "shims",
                toolbox.ownShims().map(ShimStock::leaves).orElse(List.of()).stream()
                        .map(shell.writer()::exact)
                        .collect(Collectors.joining(" ")));
        model.addAttribute(
                "shimStep", shell.writer().full(RuleBook.shims(shell.unit()).step()));
        model.addAttribute("machines", toolbox.machines());
        model.addAttribute("cutters", toolbox.cutters());
        model.addAttribute("inserts", Insert.values());
        model.addAttribute("said", said);
        return "tools/tools";
    }

    /** Something that may be refused in a sentence. */
    private interface Wish {
        void fulfil();
    }

    private String doing(Shell shell, Model model, HttpServletResponse response, String done, Wish wish) {
        try {
            wish.fulfil();
            journal.write(Journal.What.TOOLS_CHANGED, shell.me().id(), done);
            return page(shell, model, done);
        } catch (IllegalArgumentException e) {
            response.setStatus(422);
            return page(shell, model, e.getMessage());
        }
    }

    @PostMapping("/blades")
    String blades(
            @RequestParam(defaultValue = "") String blades, Shell shell, Model model, HttpServletResponse response) {
        return doing(shell, model, response, "These feelers are offered from now on.", () -> {
            if (blades.length() > 600) {
                throw new BadInputException("blades", "Key at most sixty blades.");
            }
            toolbox.useBlades(blades, shell.unit());
        });
    }

    @PostMapping("/shims")
    String shims(
            @RequestParam(defaultValue = "") String shims, Shell shell, Model model, HttpServletResponse response) {
        return doing(shell, model, response, "Set-ups are rounded to these shims from now on.", () -> {
            if (shims.length() > 300) {
                throw new BadInputException("shims", "Key at most twenty-four thicknesses.");
            }
            toolbox.useShims(shims, shell.unit());
        });
    }

    @PostMapping("/machines")
    String machine(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String minRpm,
            @RequestParam(defaultValue = "") String maxRpm,
            @RequestParam(defaultValue = "") String power,
            @RequestParam(defaultValue = "") String minFeed,
            @RequestParam(defaultValue = "") String maxFeed,
            @RequestParam(defaultValue = "") String step,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        return doing(
                shell,
                model,
                response,
                name + " is in the list.",
                () -> toolbox.add(new Machine(
                        name.strip(),
                        number(minRpm),
                        number(maxRpm),
                        number(power),
                        number(minFeed),
                        number(maxFeed),
                        step.isBlank() ? Optional.empty() : Optional.of(Length.parse(step, shell.unit())))));
    }

    @PostMapping("/cutters")
    String cutter(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "CBN") Insert insert,
            @RequestParam(defaultValue = "") String diameter,
            @RequestParam(defaultValue = "") String noseRadius,
            @RequestParam(defaultValue = "") String edges,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        return doing(
                shell,
                model,
                response,
                name + " is in the list.",
                () -> toolbox.add(
                        new Cutter(name.strip(), insert, size(diameter), size(noseRadius), (int) number(edges))));
    }

    @PostMapping("/retire")
    String retire(@RequestParam String name, Shell shell, Model model, HttpServletResponse response) {
        return doing(
                shell,
                model,
                response,
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
