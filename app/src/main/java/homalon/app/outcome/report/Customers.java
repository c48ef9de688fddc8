package homalon.app.outcome.report;

import homalon.app.casting.part.InTheShop;
import homalon.app.foundation.people.Journal;
import homalon.core.input.BadInputException;
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
            throw new BadInputException("customer", "Key the customer's name as it stands on the casting's page.");
        }
        List<String> here = inTheShop.of(wanted);
        if (!here.isEmpty()) {
            throw new BadInputException(
                    "customer",
                    String.join(", ", here.subList(0, Math.min(SHOWN, here.size())))
                            + (here.size() > SHOWN ? " and " + (here.size() - SHOWN) + " more" : "")
                            + " of this customer " + (here.size() == 1 ? "is" : "are")
                            + " in the shop: hand over first, then erase.");
        }
        // As an element of the page that was handed over: the same letters in a sentence that somebody wrote are left
        // alone.
        int castings;
        try {
            castings =
                    erased.erase(wanted, ">" + HtmlEscape.escapeHtml4Xml(wanted) + "<", ">" + ERASED + "<", ERASED, by);
        } catch (DataIntegrityViolationException e) {
            throw new BadInputException(
                    "customer",
                    "A visit of this customer came in or is being sealed at this moment: try again in a minute.");
        }
        if (castings == 0) {
            throw new BadInputException(
                    "customer", "No casting has the customer " + wanted + ": key the name as it stands on its page.");
        }
        journal.write(Journal.What.CUSTOMER_ERASED, by, castings == 1 ? "1 casting" : castings + " castings");
        return castings;
    }
}
