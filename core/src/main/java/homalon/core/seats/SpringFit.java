package homalon.core.seats;

import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import homalon.core.words.Message;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleBinaryOperator;
import java.util.function.DoublePredicate;

/**
 * A valve spring at its installed height. Millimetres; loads in newtons.
 *
 * @param installed height with the seat work still to come, before shims
 * @param shim exact thickness wanted under it; negative where it stands too short already
 * @param stack leaves of the stock that make the most of it, never more
 * @param left what stays open after the stack
 * @param height at which it then works
 * @param coilGap left between its coils at full lift
 * @param sealGap retainer to stem seal at full lift; empty where it was not measured
 * @param seatLoad with the valve shut
 * @param openLoad at full lift
 * @param good height, coils and seal within their limits
 * @param why in words
 */
public record SpringFit(
        double installed,
        double shim,
        List<Length> stack,
        double left,
        double height,
        OptionalDouble coilGap,
        OptionalDouble sealGap,
        OptionalDouble seatLoad,
        OptionalDouble openLoad,
        boolean good,
        Message why) {
    /** General defaults. */
    public static final double LEAST_COIL_GAP = 1.0;

    public static final double LEAST_SEAL_GAP = 1.3;
    /** Leaves that are usually had. */
    public static final ShimStock USUAL_SHIMS =
            ShimStock.ofLeaves(List.of(Length.ofMm("0.4"), Length.ofMm("0.8"), Length.ofMm("1.5")));

    /**
     * What is known of it.
     *
     * @param measured installed height, retainer and locks on, shimmed with nothing
     * @param specified by the book
     * @param sink of the valve by seat work still to come: it lengthens the installed height
     * @param locator thickness of a spring locator that goes under it: it counts as a shim
     * @param seal retainer to stem seal with the valve shut
     * @param rate N/mm
     */
    public record Spring(
            double measured,
            double specified,
            double sink,
            double locator,
            OptionalDouble free,
            OptionalDouble solid,
            OptionalDouble rate,
            OptionalDouble lift,
            OptionalDouble seal) {
        /** @throws homalon.core.input.BadInputException for a spring that cannot be */
        public Spring {
            Problems problems = new Problems();
            problems.require(measured > 5 && measured <= 200, "measured", "seats.installed-height-key-5-to-200-mm");
            problems.require(
                    specified > 5 && specified <= 200, "specified", "seats.height-by-the-book-key-5-to-200-mm");
            problems.require(sink >= 0 && sink <= 10, "sink", "seats.seat-work-sinks-a-valve-by-0-to-10-mm");
            problems.require(locator >= 0 && locator <= 10, "locator", "seats.locator-key-its-thickness-0-to-10-mm");
            problems.require(fits(free, f -> f > specified), "free", "seats.the-springs-free-length-is-larger-than");
            problems.require(
                    fits(solid, h -> h > 0 && h < specified), "solid", "seats.the-solid-height-is-smaller-than-the");
            problems.require(fits(rate, r -> r > 0 && r <= 500), "rate", "seats.rate-key-n-mm-such-as-32");
            problems.require(fits(lift, l -> l > 0 && l <= 40), "lift", "seats.lift-key-0-to-40-mm-such-as-10-5");
            problems.throwIfAny();
        }

        private static boolean fits(OptionalDouble known, DoublePredicate where) {
            return known.isEmpty() || where.test(known.getAsDouble());
        }
    }

    public static SpringFit of(Spring s, ShimStock stock) {
        double installed = s.measured() + s.sink();
        double shim = installed - s.specified() - s.locator();
        double laid = shim <= 0 ? 0 : stock.atMost(shim);
        List<Length> stack = stock.stack(Length.roundedFromMm(laid));
        double height = installed - s.locator() - laid;
        OptionalDouble coil = of(s.lift(), s.solid(), (lift, solid) -> height - lift - solid);
        OptionalDouble seal = of(s.seal(), s.lift(), (gap, lift) -> gap + s.sink() - lift);
        OptionalDouble shut = of(s.rate(), s.free(), (rate, free) -> rate * (free - height));
        OptionalDouble open = of(s.rate(), s.lift(), (rate, lift) -> rate * lift);
        open = of(shut, open, Double::sum);
        Message why = why(shim, coil, seal);
        return new SpringFit(
                installed, shim, stack, shim - laid, height, coil, seal, shut, open, why.equals(WITHIN), why);
    }

    private static final Message WITHIN = Message.of("seats.within");

    private static Message why(double shim, OptionalDouble coil, OptionalDouble seal) {
        if (shim < -1e-9) {
            return Message.of("seats.stands-shorter-than-the-book-a-deeper");
        }
        if (coil.orElse(LEAST_COIL_GAP) < LEAST_COIL_GAP - 1e-9) {
            return Message.of("seats.coils-bind-at-full-lift");
        }
        return seal.orElse(LEAST_SEAL_GAP) < LEAST_SEAL_GAP - 1e-9
                ? Message.of("seats.the-retainer-meets-the-stem-seal-at")
                : WITHIN;
    }

    /** Known when both are. */
    private static OptionalDouble of(OptionalDouble a, OptionalDouble b, DoubleBinaryOperator sum) {
        return a.isPresent() && b.isPresent()
                ? OptionalDouble.of(sum.applyAsDouble(a.getAsDouble(), b.getAsDouble()))
                : OptionalDouble.empty();
    }
}
