package homalon.app.machining.cut;

import homalon.app.casting.part.PartPage;
import homalon.app.casting.part.PartVisits;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.core.part.InkedLine;
import homalon.core.part.SealingBands;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where the gasket in hand seals. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BandsController {
    private final PartVisits visits;

    /** Where the gasket in hand seals: what has to come clean. */
    @ToMachinists
    @PostMapping("/parts/{tag}/plan/bands")
    String bands(
            PartPage page,
            @RequestParam(defaultValue = "") String ring,
            @RequestParam(defaultValue = "") String bead,
            @RequestParam(defaultValue = "") String opening,
            @RequestParam(defaultValue = "") String ink) {
        PartFile part = page.part();
        BenchUnit unit = page.unit();
        SealingBands usual = SealingBands.USUAL;
        visits.seal(
                part,
                new SealingBands(
                        ring.isBlank() ? usual.ring() : Length.parseSize(ring, unit),
                        bead.isBlank()
                                ? usual.bead()
                                : bead.strip().equals("0") ? Length.ZERO : Length.parseSize(bead, unit),
                        opening.isBlank() ? Optional.empty() : Optional.of(Length.parseSize(opening, unit)),
                        ink.isBlank() ? Optional.empty() : Optional.of(InkedLine.read(ink, unit))),
                page.me());
        return "redirect:/parts/" + part.tag() + "/plan";
    }
}
