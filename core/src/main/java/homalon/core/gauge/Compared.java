package homalon.core.gauge;

import homalon.core.input.Problems;
import java.time.LocalDate;

/**
 * An instrument was compared with something that is known better.
 *
 * @param on the day
 * @param against what it was compared with
 * @param error the largest that was found, in the instrument's figures; its sign is kept
 */
public record Compared(LocalDate on, String against, double error) {
    private static final int LONGEST = 120;
    private static final double ROUNDING = 1e-9;

    /** @throws homalon.core.input.BadInputException when it says nothing of what it was compared with */
    public Compared {
        Problems problems = new Problems();
        problems.require(
                !against.isBlank() && against.length() <= LONGEST, "against", "gauge.say-what-it-was-compared-with");
        problems.require(Double.isFinite(error), "error", "gauge.error-key-the-largest-that-was-found");
        problems.throwIfAny();
    }

    /** Whether it kept what it is said to be good to. */
    public boolean kept(Instrument instrument) {
        return Math.abs(error) <= instrument.limits() + ROUNDING;
    }
}
