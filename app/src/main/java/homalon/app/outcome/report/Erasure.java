package homalon.app.outcome.report;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.customer.ForgetsCustomer;
import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.people.Journal;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unbescape.html.HtmlEscape;

/** Customers who ask to be erased. What was measured stays, and every seal still agrees: it has the name as a salted digest only. */
@Service
@RequiredArgsConstructor
public class Erasure {
    private static final int SHOWN = 5;

    private final ReleaseErasedRepository erased;
    private final Customers customers;
    private final InTheShop inTheShop;
    private final AgreedBook agreed;
    private final List<ForgetsCustomer> others;
    private final Journal journal;

    /**
     * Takes every name that the customer had from castings and papers, the salt from the seals, and the record.
     *
     * @return how many castings stand without a name now
     * @throws BadInputException when a casting of the customer is in the shop
     */
    @Transactional
    public int erase(Customer customer, UUID by) {
        List<String> here = inTheShop.of(customer.id());
        if (!here.isEmpty()) {
            throw new BadInputException(
                    "customer",
                    "app.report.of-this-customer-in-the-shop-hand-over",
                    String.join(", ", here.subList(0, Math.min(SHOWN, here.size()))),
                    here.size() > SHOWN ? Message.of("app.report.and-more", here.size() - SHOWN) : Message.NONE,
                    here.size() == 1 ? Message.of("app.report.is") : Message.of("app.report.are"));
        }
        // As an element of the page that was handed over: the same letters in a sentence that somebody wrote are left
        // alone.
        String[] shown = Stream.concat(Stream.of(customer.name()), customers.formerNames(customer.id()).stream())
                .distinct()
                .map(name -> ">" + HtmlEscape.escapeHtml4Xml(name) + "<")
                .toArray(String[]::new);
        agreed.forget(customer.id());
        others.forEach(o -> o.forget(customer.id()));
        int castings;
        try {
            castings = erased.erase(customer.id(), shown, ">" + Customers.ERASED + "<", Customers.ERASED, by);
        } catch (DataIntegrityViolationException e) {
            throw new BadInputException("customer", "app.report.a-visit-of-this-customer-came-in-or-is");
        }
        journal.write(Journal.What.CUSTOMER_ERASED, by, castings == 1 ? "1 casting" : castings + " castings");
        return castings;
    }
}
