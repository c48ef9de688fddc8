package homalon.app.outcome.customers;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.report.Erasure;
import homalon.core.input.BadInputException;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** An owner erases a customer. */
@ToOwners
@Controller
@RequestMapping("/shop/customers/{id}/erase")
@RequiredArgsConstructor
class EraseController {
    private final Customers customers;
    private final Erasure erasure;

    @GetMapping
    String page(Page page, @PathVariable UUID id) {
        page.show("customer", customers.byId(id));
        page.show("said", null);
        return "outcome/customers/erase";
    }

    /** @param name keyed once more, so that nobody is erased by a slip */
    @PostMapping
    String erase(Page page, @PathVariable UUID id, @RequestParam(defaultValue = "") String name) {
        Customer customer = customers.byId(id);
        try {
            if (!name.strip().equals(customer.name())) {
                throw new BadInputException("name", "app.customer.key-the-name-once-more", customer.name());
            }
            int castings = erasure.erase(customer, page.me());
            page.show("customer", null);
            page.show(
                    "said",
                    (castings == 1 ? "1 casting stands" : castings + " castings stand") + " without a name now.");
        } catch (BadInputException e) {
            page.unprocessable();
            page.show("customer", customer);
            page.show("said", Words.of(e.sentence()));
        }
        return "outcome/customers/erase";
    }
}
