package homalon.core.money;

import homalon.core.bench.JobSize;
import homalon.core.input.Problems;
import homalon.core.part.Material;
import homalon.core.route.Operation;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.joda.money.Money;

/**
 * What a shop asks.
 *
 * @param rate for an hour, for work that the list has no price of
 * @param least that any job comes to
 * @param look for cleaning, looking and measuring, whatever comes of it
 * @param margin of a hundred that is put on parts
 * @param prices of the list; of several that hold the one counts that is meant for least else
 * @param asks where every customer is asked before work goes on
 */
public record PriceList(
        MoneyRules rules,
        Money rate,
        Money least,
        Money look,
        BigDecimal margin,
        List<Price> prices,
        Set<AskPoint> asks) {
    /** What the price of the look is for, the first time. */
    public static final Set<Operation> LOOK = EnumSet.of(
            Operation.CLEAN,
            Operation.CRACK_CHECK,
            Operation.VALVE_CHECK,
            Operation.FACE_CHECK,
            Operation.LINE_CHECK,
            Operation.LINER_CHECK,
            Operation.DECK_INDEX);

    /** What belongs to work that is paid for. */
    private static final Set<Operation> WITHIN = EnumSet.of(
            Operation.CHOICE, Operation.CUT_PLAN, Operation.PROOF, Operation.OIL_AND_BAG, Operation.HAND_OVER);

    private static final BigDecimal MOST_MARGIN = BigDecimal.valueOf(500);
    private static final BigDecimal HUNDRED = BigDecimal.valueOf(100);
    private static final BigDecimal HOUR = BigDecimal.valueOf(60);
    private static final int DIGITS = 9;

    /**
     * What some work comes to.
     *
     * @param per what it is counted by; empty for the hour
     * @param count of those, or minutes
     * @param each price of one, or of an hour
     */
    public record Asked(Optional<Price.Per> per, int count, Money each, Money amount) {
        /** How it is made up. */
        public Message words() {
            return per.map(p -> Message.of("money.so-many-at", count, Amounts.shown(each), p.words()))
                    .orElseGet(() -> Message.of("money.minutes-at", count, Amounts.shown(each)));
        }
    }

    /** @throws homalon.core.input.BadInputException for what no shop asks */
    public PriceList {
        prices = List.copyOf(prices);
        asks = Set.copyOf(asks);
        margin = MoneyRules.plain(margin);
        Problems problems = new Problems();
        problems.require(!rate.isNegative(), "rate", "money.key-a-price-of-0-or-more");
        problems.require(!least.isNegative(), "least", "money.key-a-price-of-0-or-more");
        problems.require(!look.isNegative(), "look", "money.key-a-price-of-0-or-more");
        problems.require(
                margin.signum() >= 0 && margin.compareTo(MOST_MARGIN) <= 0,
                "margin",
                "money.key-what-is-put-on-parts-of-a-hundred",
                MOST_MARGIN);
        problems.throwIfAny();
    }

    /** The same with other lines. */
    public PriceList with(List<Price> others) {
        return new PriceList(rules, rate, least, look, margin, others, asks);
    }

    /** The same, asking there. */
    public PriceList asking(Set<AskPoint> at) {
        return new PriceList(rules, rate, least, look, margin, prices, at);
    }

    /**
     * What work comes to by itself; nothing for what is part of the look or of other work.
     *
     * @param minutes in hands that it is planned for
     */
    public Optional<Asked> of(Operation operation, Material metal, JobSize size, int minutes) {
        Optional<Price> listed = prices.stream()
                .filter(p -> p.holds(operation, metal, size))
                .min(Comparator.comparing((Price p) -> p.metal().isEmpty())
                        .thenComparingInt(p -> p.to() - p.from())
                        .thenComparing(p -> p.per().ordinal()));
        if (listed.isPresent()) {
            Price price = listed.get();
            int count = price.per().of(size);
            return Optional.of(new Asked(
                    Optional.of(price.per()), count, price.each(), price.each().multipliedBy(count)));
        }
        if (LOOK.contains(operation) || WITHIN.contains(operation)) {
            return Optional.empty();
        }
        return Optional.of(byTheHour(minutes));
    }

    public Asked byTheHour(int minutes) {
        return new Asked(
                Optional.empty(),
                minutes,
                rate,
                rules.of(rate.getAmount()
                        .multiply(BigDecimal.valueOf(minutes))
                        .divide(HOUR, DIGITS, RoundingMode.HALF_UP)));
    }

    /** What the shop asks for a part that costs it so much. */
    public Money part(Money cost) {
        return rules.of(cost.getAmount().multiply(HUNDRED.add(margin)).divide(HUNDRED, DIGITS, RoundingMode.HALF_UP));
    }
}
