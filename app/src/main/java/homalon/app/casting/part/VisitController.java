package homalon.app.casting.part;

import homalon.app.foundation.opened.ToEverybody;
import homalon.core.route.Step;
import homalon.core.visit.PartFile;
import homalon.core.visit.StuckOn;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A visit of a casting: where it stands, what holds it up, its coming back. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class VisitController {
    private final PartVisits visits;
    private final StepSource steps;

    @GetMapping("/parts/{tag}")
    String part(PartPage page) {
        PartFile part = page.part();
        Step next = PartHead.next(
                steps.steps(List.of(part), page.writer()).get(part.visit().id()).strip());
        return "redirect:/parts/" + part.tag() + "/" + StepPages.path(next.kind());
    }

    @PostMapping("/parts/{tag}/stuck")
    String stick(
            PartPage page, @RequestParam(defaultValue = "") String on, @RequestParam(defaultValue = "") String why) {
        PartFile part = page.part();
        Optional<StuckOn> whom =
                Arrays.stream(StuckOn.values()).filter(s -> s.name().equals(on)).findFirst();
        visits.stick(part.id(), whom, why, page.me());
        return "redirect:/parts/" + part.tag() + "/intake";
    }

    @PostMapping("/parts/{tag}/come-back")
    String comeBack(
            PartPage page,
            @RequestParam(defaultValue = "") String history,
            @RequestParam(defaultValue = "") String wishes) {
        PartFile part = visits.comeBack(page.tag(), history, wishes, page.me());
        return "redirect:/parts/" + part.tag();
    }
}
