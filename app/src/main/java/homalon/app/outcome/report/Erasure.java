package homalon.app.outcome.report;

import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.people.Journal;
import homalon.core.input.BadInputException;
import homalon.core.words.Message;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.unbescape.html.HtmlEscape;

/** Customers who ask to be erased. What was measured stays, and every seal still agrees: it has the name as a salted digest only. */
@Service
@RequiredArgsConstructor
class Customers {
    static final String ERASED = "erased";
    private static final int SHOWN = 5;

    private final ReleaseErasedRepository erased;
    private final InTheShop inTheShop;
    private final Journal journal;

    /**
     * Takes the name from castings and papers, and the salt from the seals.
     *
     * @param name as it stands on the castings
     * @return how many castings stand without a name now
     * @throws BadInputException when nobody has that name, or a casting of the customer is in the shop
     */
    @Transactional
    public int erase(String name, UUID by) {
        String wanted = name.strip();
        if (wanted.isEmpty() || wanted.equals(ERASED)) {
            throw new BadInputException("customer", "app.report.key-the-customers-name-as-it-stands-on");
        }
        List<String> here = inTheShop.of(wanted);
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
        int castings;
        try {
            castings =
                    erased.erase(wanted, ">" + HtmlEscape.escapeHtml4Xml(wanted) + "<", ">" + ERASED + "<", ERASED, by);
        } catch (DataIntegrityViolationException e) {
            throw new BadInputException("customer", "app.report.a-visit-of-this-customer-came-in-or-is");
        }
        if (castings == 0) {
            throw new BadInputException("customer", "app.report.no-casting-has-the-customer-key-the", wanted);
        }
        journal.write(Journal.What.CUSTOMER_ERASED, by, castings == 1 ? "1 casting" : castings + " castings");
        return castings;
    }
}
