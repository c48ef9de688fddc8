package homalon.app.outcome.promises;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.Page;
import homalon.app.outcome.plan.DayPlans;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** Whom to ring: promises that cannot well be kept, what customers owe, what is ready to be fetched. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class CallsController {
    private final CallList calls;
    private final DayPlans plans;

    @GetMapping("/calls")
    String page(Page page) {
        DayPlans.Plan plan = plans.now();
        return page.read(() -> {
            page.show("calls", calls.now(plan.posted(), page.shell()));
            return "outcome/promises/calls";
        });
    }
}
