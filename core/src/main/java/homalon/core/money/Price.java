package homalon.core.money;

import homalon.core.bench.JobSize;
import homalon.core.input.Problems;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.words.Message;
import java.util.Optional;
import org.joda.money.Money;

/**
 * A line of a shop's price list.
 *
 * @param metal of the castings that it holds for; empty for any
 * @param from cylinders, no less
 * @param to cylinders, no more
 * @param per what it is for one of
 * @param each price of one
 */
public record Price(Operation operation, Optional<Material> metal, int from, int to, Per per, Money each) {
    /** No casting has more cylinders in a row. */
    public static final int MOST_CYLINDERS = 16;

    /** What a price is for one of. */
    public enum Per {
        CASTING,
        CYLINDER,
        VALVE,
        /** One of those that the work is about: a guide, a seat, a pin's length of crack. */
        PIECE,
        PASS;

        private final Message words = Message.of(this);

        /** How many of them there are at a casting. */
        int of(JobSize size) {
            return switch (this) {
                case CASTING -> 1;
                case CYLINDER -> size.cylinders();
                case VALVE -> size.valves();
                case PIECE -> size.some();
                case PASS -> size.passes();
            };
        }

        public Message words() {
            return words;
        }
    }

    /** @throws homalon.core.input.BadInputException for what no price list holds */
    public Price {
        Problems problems = new Problems();
        problems.require(
                from >= 1 && to >= from && to <= MOST_CYLINDERS,
                "cylinders",
                "money.key-cylinders-from-to",
                MOST_CYLINDERS);
        problems.require(!each.isNegative(), "each", "money.key-a-price-of-0-or-more");
        problems.throwIfAny();
    }

    /** The same at another price. */
    Price each(Money other) {
        return new Price(operation, metal, from, to, per, other);
    }

    /** Whether it is meant for such a casting. */
    public boolean holds(Operation work, Material of, JobSize size) {
        return work == operation
                && metal.filter(m -> m != of).isEmpty()
                && from <= size.cylinders()
                && size.cylinders() <= to;
    }
}
