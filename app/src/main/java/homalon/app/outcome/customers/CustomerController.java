package homalon.app.outcome.customers;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.FoundView;
import homalon.app.casting.part.PartFinder;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Customers: found, corrected once for all, merged. */
@ToEverybody
@Controller
@RequestMapping("/customers")
@RequiredArgsConstructor
class CustomerController {
    private static final int AT_ONCE = 20;
    private static final int PROPOSED = 8;
    private static final int MOST_PAGES = 10_000;

    private final Customers customers;
    private final PartFinder finder;

    /** A customer in the list. */
    record Row(Customer customer, String castings) {}

    @GetMapping
    String list(
            Page page,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(name = "page", defaultValue = "0") int lot,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        requirePage(lot);
        List<Customer> found = customers.find(q, lot * AT_ONCE, AT_ONCE + 1);
        List<Customer> shown = found.subList(0, Math.min(AT_ONCE, found.size()));
        Map<UUID, PartFinder.OfCustomer> counts =
                finder.ofCustomers(shown.stream().map(Customer::id).toList());
        page.show("q", q);
        page.show(
                "rows",
                shown.stream()
                        .map(c -> new Row(c, castings(Optional.ofNullable(counts.get(c.id())))))
                        .toList());
        page.show("next", found.size() > AT_ONCE ? lot + 1 : null);
        return swap == null ? "outcome/customers/customers" : "outcome/customers/customers :: list";
    }

    private static String castings(Optional<PartFinder.OfCustomer> count) {
        return count.map(c -> (c.castings() == 1 ? "1 casting" : c.castings() + " castings")
                        + (c.here() == 0 ? "" : ", " + c.here() + " in the shop"))
                .orElse("no castings");
    }

    /** What a field for a customer proposes while one types. */
    @GetMapping("/names")
    String names(Page page, @RequestParam Map<String, String> typed) {
        String q = Stream.of("customer", "into")
                .map(typed::get)
                .filter(v -> v != null)
                .findFirst()
                .orElse("");
        page.show(
                "names",
                q.isBlank()
                        ? List.of()
                        : customers.find(q, 0, PROPOSED).stream()
                                .map(Customer::name)
                                .toList());
        return "outcome/customers/names :: names";
    }

    @GetMapping("/{id}")
    String one(
            Page page,
            @PathVariable UUID id,
            @RequestParam(name = "page", defaultValue = "0") int lot,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        requirePage(lot);
        Customer customer = customers.byId(id);
        String whole = one(page, customer, lot, CustomerForm.of(customer), List.of());
        return swap == null ? whole : whole + " :: castings";
    }

    private static void requirePage(int lot) {
        if (lot < 0 || lot > MOST_PAGES) {
            throw new BadInputException("page", "app.part.page-0-to", MOST_PAGES);
        }
    }

    private String one(
            Page page, Customer customer, int lot, CustomerForm form, List<BadInputException.Problem> problems) {
        page.show("customer", customer);
        page.show("form", form);
        page.show("problems", problems);
        page.show("former", customers.formerNames(customer.id()));
        PartFinder.Some found = finder.castings(customer.id(), lot, AT_ONCE);
        page.show("found", FoundView.of(found.parts(), page));
        page.show("next", found.more() ? lot + 1 : null);
        page.show("units", BenchUnit.values());
        page.show("forms", DayForm.values());
        return "outcome/customers/customer";
    }

    @PostMapping("/{id}")
    String change(Page page, @PathVariable UUID id, @ModelAttribute CustomerForm form) {
        try {
            customers.change(
                    id,
                    blank(form.name()),
                    blank(form.phone()),
                    blank(form.mail()),
                    blank(form.unit()),
                    blank(form.days()),
                    blank(form.notes()),
                    form.version(),
                    page.me());
            return "redirect:/customers/" + id;
        } catch (BadInputException e) {
            page.unprocessable();
            return one(page, customers.byId(id), 0, form, e.problems());
        }
    }

    private static String blank(String text) {
        return text == null ? "" : text;
    }

    /** @param into the name of the record that stays */
    @PostMapping("/{id}/merge")
    String merge(Page page, @PathVariable UUID id, @RequestParam(defaultValue = "") String into) {
        try {
            Customer stays = customers
                    .called(into)
                    .orElseThrow(() -> new BadInputException("into", "app.customer.nobody-is-called", into.strip()));
            customers.merge(id, stays.id(), page.me());
            return "redirect:/customers/" + stays.id();
        } catch (BadInputException e) {
            page.unprocessable();
            Customer customer = customers.byId(id);
            return one(page, customer, 0, CustomerForm.of(customer), e.problems());
        }
    }
}
