package homalon.app.outcome.report;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** An owner erases a customer. */
@ToOwners
@Controller
@RequestMapping("/shop/customers")
@RequiredArgsConstructor
class CustomerController {
    private final Customers customers;

    @GetMapping
    String page(Page page) {
        return page(page, null, "");
    }

    private static String page(Page page, String said, String typed) {
        page.show("said", said);
        page.show("typed", typed);
        return "outcome/report/customers";
    }

    @PostMapping
    String erase(Page page, @RequestParam(defaultValue = "") String customer) {
        try {
            int castings = customers.erase(customer, page.me());
            return page(
                    page,
                    (castings == 1 ? "1 casting stands" : castings + " castings stand") + " without a name now.",
                    "");
        } catch (BadInputException e) {
            page.unprocessable();
            return page(page, Words.of(e.sentence()), customer);
        }
    }
}
