package homalon.app.shop.instruments;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToMachinists;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.visit.Sheet;
import java.util.Arrays;
import java.util.List;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What valves, lines, liners, chambers and tests are measured with. */
@ToMachinists
@Controller
@RequiredArgsConstructor
class InHandController {
    private final Hands hands;

    /**
     * From now on it is in hand.
     *
     * @param of the walk that is open, where a step has several
     */
    @PostMapping("/parts/{tag}/{step:valves|line|liners|index|chambers|pressure}/in-hand")
    String take(
            PartPage page,
            @PathVariable String step,
            @RequestParam InstrumentKind instrument,
            @RequestParam(defaultValue = "") String code,
            @RequestParam(defaultValue = "") String of) {
        if (!kinds(step).contains(instrument)) {
            throw new BadInputException("code", "app.instruments.no-such", code);
        }
        page.part().requireHere(step, "to measure it");
        hands.take(page.part(), step, instrument, code, page.me());
        String walk = of.matches("[A-Za-z0-9_-]{1,30}") ? "?of=" + of : "";
        return "redirect:/parts/" + page.part().tag() + "/" + step + walk;
    }

    private static List<InstrumentKind> kinds(String step) {
        return Arrays.stream(Sheet.values())
                .filter(s -> s.path().equals(step))
                .findFirst()
                .map(Sheet::instruments)
                .orElse(List.of(InstrumentKind.PRESSURE_GAUGE));
    }
}
