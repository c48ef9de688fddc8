package homalon.core.seats;

import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import java.util.List;
import java.util.OptionalDouble;

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
        String why) {
    /** General defaults. */
    public static final double LEAST_COIL_GAP = 1.0;

    public static final double LEAST_SEAL_GAP = 1.3;
    /** Leaves that are usually had. */
    public static final ShimStock USUAL_SHIMS =
            ShimStock.ofLeaves(List.of(Length.ofMm("0.4"), Length.ofMm("0.8"), Length.ofMm("1.5")));

    /**
     * What is known of it; NaN where it is not.
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
            double free,
            double solid,
            double rate,
            double lift,
            double seal) {
        /** @throws homalon.core.input.BadInputException for a spring that cannot be */
        public Spring {
            Problems problems = new Problems();
            problems.require(measured > 5 && measured <= 200, "measured", "Installed height: key 5 to 200 mm.");
            problems.require(specified > 5 && specified <= 200, "specified", "Height by the book: key 5 to 200 mm.");
            problems.require(sink >= 0 && sink <= 10, "sink", "Seat work sinks a valve by 0 to 10 mm.");
            problems.require(locator >= 0 && locator <= 10, "locator", "Locator: key its thickness, 0 to 10 mm.");
            problems.require(
                    Double.isNaN(free) || free > specified,
                    "free",
                    "The spring's free length is larger than its installed height: key it again.");
            problems.require(
                    Double.isNaN(solid) || (solid > 0 && solid < specified),
                    "solid",
                    "The solid height is smaller than the installed one: key it again.");
            problems.require(Double.isNaN(rate) || (rate > 0 && rate <= 500), "rate", "Rate: key N/mm, such as 32.");
            problems.require(
                    Double.isNaN(lift) || (lift > 0 && lift <= 40), "lift", "Lift: key 0 to 40 mm, such as 10.5.");
            problems.throwIfAny();
        }
    }

    public static SpringFit of(Spring s, ShimStock stock) {
        double installed = s.measured() + s.sink();
        double shim = installed - s.specified() - s.locator();
        double laid = shim <= 0 ? 0 : stock.atMost(shim);
        List<Length> stack = stock.stack(Length.roundedFromMm(laid));
        double height = installed - s.locator() - laid;
        OptionalDouble coil = known(height - s.lift() - s.solid());
        OptionalDouble seal = known(s.seal() + s.sink() - s.lift());
        OptionalDouble shut = known(s.rate() * (s.free() - height));
        OptionalDouble open = known(s.rate() * (s.free() - height + s.lift()));
        String why = "within";
        if (shim < -1e-9) {
            why = "stands shorter than the book: a deeper retainer or locks, or the spring pocket; no shim helps";
        } else if (coil.isPresent() && coil.getAsDouble() < LEAST_COIL_GAP - 1e-9) {
            why = "coils bind at full lift";
        } else if (seal.isPresent() && seal.getAsDouble() < LEAST_SEAL_GAP - 1e-9) {
            why = "the retainer meets the stem seal at full lift";
        }
        return new SpringFit(
                installed, shim, stack, shim - laid, height, coil, seal, shut, open, why.equals("within"), why);
    }

    private static OptionalDouble known(double value) {
        return Double.isNaN(value) ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
