package homalon.core.money;

import homalon.core.input.BadInputException;
import java.util.Optional;
import org.joda.money.Money;

/**
 * What a customer agreed to when it chose that work goes on.
 *
 * @param shown what it had before it
 * @param upTo so far it goes on without asking, with tax; empty where nothing was said of what may come
 */
public record Agreed(ShownEstimate shown, Optional<Money> upTo) {
    /**
     * What somebody keys now.
     *
     * @throws BadInputException for less than it comes to as it stands: nothing could be done for that
     */
    public static Agreed keyed(ShownEstimate shown, Optional<Money> upTo) {
        if (upTo.filter(u -> u.isLessThan(shown.total())).isPresent()) {
            throw new BadInputException("upTo", "money.it-comes-to-more-as-it-stands", shown.fixed());
        }
        return new Agreed(shown, upTo);
    }

    /**
     * Whether that is passed: by what it comes to as it stands; and, where a sum was named, by what is to be expected too, once that is more than
     * it was when the sum was named.
     */
    public boolean passedBy(Outlook now) {
        Money most = upTo.orElseGet(shown::total);
        boolean expected = upTo.isPresent()
                && now.expected().isGreaterThan(most)
                && now.expected().isGreaterThan(Money.parse(shown.currency() + " " + shown.expected()));
        return now.fixed().isGreaterThan(most) || expected;
    }
}
