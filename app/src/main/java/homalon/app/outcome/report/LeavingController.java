package homalon.app.outcome.report;

import homalon.app.casting.part.PartPage;
import homalon.app.casting.work.OwnTicks;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.opened.ToMachinists;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is signed for on the last page, before the casting leaves. */
@ToMachinists
@Controller
@RequiredArgsConstructor
class LeavingController {
    private final WorkLog work;
    private final OwnTicks lines;

    @PostMapping("/parts/{tag}/report/oiled")
    String oiled(PartPage page) {
        page.require(Operation.OIL_AND_BAG);
        work.write(page.part(), page.lineId(), WorkEntry.Kind.DID, Operation.OIL_AND_BAG, "", page.me());
        return back(page);
    }

    @PostMapping("/parts/{tag}/report/lines")
    String put(PartPage page, @RequestParam(defaultValue = "") String line) {
        lines.put(page.part(), page.lineId(), StepKind.HAND_OVER, line, page.me());
        return back(page);
    }

    @PostMapping("/parts/{tag}/report/lines/tick")
    String tick(PartPage page, @RequestParam String line) {
        lines.tick(page.part(), page.lineId(), StepKind.HAND_OVER, line, page.me());
        return back(page);
    }

    @PostMapping("/parts/{tag}/report/lines/take-back")
    String takeBack(PartPage page, @RequestParam UUID entry) {
        work.takeBack(page.part(), page.lineId(), entry, page.me());
        return back(page);
    }

    private static String back(PartPage page) {
        return "redirect:/parts/" + page.part().tag() + "/report";
    }
}
