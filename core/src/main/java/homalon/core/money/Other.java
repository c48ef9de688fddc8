package homalon.core.money;

import homalon.core.bench.JobSize;
import homalon.core.bench.UsualChances;
import homalon.core.part.Material;
import homalon.core.quantity.Length;
import homalon.core.route.Event;
import homalon.core.route.Finding;
import homalon.core.route.Operation;
import homalon.core.route.Route;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import org.joda.money.Money;

/**
 * Another casting that could take the place of the one that is here. Amounts are before tax, as the customer would pay them.
 *
 * @param words which, and from whom
 * @param price of it
 * @param freight of it
 * @param core what comes back for the old one
 * @param days until it is here
 * @param minutes of work that it is known to need
 * @param left what may still be cut off it; empty where nobody knows
 * @param months for which its seller stands for it; empty where nobody said
 * @param open what nobody can vouch for, as somebody keyed it; may be empty
 */
public record Other(
        Kind kind,
        String words,
        Money price,
        Money freight,
        Money core,
        int days,
        int minutes,
        Optional<Length> left,
        OptionalInt months,
        String open) {
    private static final int WORKING_DAY = 480;

    /** Where it comes from. */
    public enum Kind {
        /** New, of the maker. */
        NEW(false),
        /** New, of somebody else. */
        AFTERMARKET(true),
        USED(true);

        private final Message words = Message.of(this);
        private final boolean lookedAt;

        Kind(boolean lookedAt) {
            this.lookedAt = lookedAt;
        }

        public Message words() {
            return words;
        }

        /** Whether it is cleaned, looked at and measured like any that comes in. */
        public boolean lookedAt() {
            return lookedAt;
        }
    }

    /** Days until it could be ready: a day for the look once it is here, and one for every eight hours of work that are begun. */
    public int daysToReady() {
        return days + (kind.lookedAt() ? 1 : 0) + (minutes + WORKING_DAY - 1) / WORKING_DAY;
    }

    /**
     * What it comes to: its price and freight less what comes back, the look where it is looked at, and the work that it needs.
     *
     * @param owed what is owed for the one that is here whatever is chosen, and not done yet
     */
    public List<Money> lines(PriceList list, List<Money> owed) {
        List<Money> all = new ArrayList<>(owed);
        all.add(price);
        all.add(freight);
        all.add(core.negated());
        if (kind.lookedAt()) {
            all.add(list.look());
        }
        if (minutes > 0) {
            all.add(list.byTheHour(minutes).amount());
        }
        return all;
    }

    /**
     * What may turn up at it: all that the first look at a casting of that kind may find; nothing at a new one of the maker's.
     *
     * @param size of the casting that is here: the other is as large
     * @param before what checks found in castings that left
     */
    public List<Risk> risks(
            PriceList list,
            Material metal,
            Function<Operation, JobSize> size,
            Map<UsualChances.Check, UsualChances.Counted> before) {
        if (!kind.lookedAt()) {
            return List.of();
        }
        List<Event> known = new ArrayList<>(List.of(new Event.Found(Finding.VALVES_ASKED)));
        if (kind == Kind.USED) {
            known.add(new Event.Found(Finding.NOT_TRUSTED));
        }
        return Risks.of(list, false, UsualChances.mayFind(metal, Route.of(known), size, before));
    }
}
