package homalon.app.shop.instruments;

import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Page;
import homalon.core.gauge.Reversal;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A table or an edge read both ways. */
@Controller
@RequiredArgsConstructor
class ReversalController {
    private final Reversals reversals;
    private final InstrumentsController page;
    private final Journal journal;

    @ToMachinists
    @PostMapping("/instruments/{code}/reversals")
    String keep(
            Page shown,
            @PathVariable String code,
            @RequestParam UUID id,
            @RequestParam Reversal.Way way,
            @RequestParam(defaultValue = "") String first,
            @RequestParam(defaultValue = "") String second) {
        return page.doing(shown, code, () -> reversals.keep(id, code, way, first, second, shown.unit(), shown.me()));
    }

    /** From now on it is good to what was found. */
    @ToOwners
    @PostMapping("/instruments/{code}/reversals/{id}/take")
    String take(Page shown, @PathVariable String code, @PathVariable UUID id) {
        return page.doing(shown, code, () -> {
            reversals.take(code, id, shown.me());
            journal.write(Journal.What.TOOLS_CHANGED, shown.me(), code + " by its reversal");
        });
    }
}
