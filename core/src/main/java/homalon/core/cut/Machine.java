package homalon.core.cut;

import homalon.core.input.Problems;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.util.Optional;

/**
 * A surfacing machine.
 *
 * @param minRpm slowest spindle, turns per minute
 * @param maxRpm fastest
 * @param power of the spindle, kW
 * @param minFeed slowest table, mm/min
 * @param maxFeed fastest table, mm/min
 * @param step that its dial has; empty for the usual one of the bench's unit
 */
public record Machine(
        String name,
        double minRpm,
        double maxRpm,
        double power,
        double minFeed,
        double maxFeed,
        Optional<Length> step) {
    /** One whose dial has the usual steps. */
    public Machine(String name, double minRpm, double maxRpm, double power, double minFeed, double maxFeed) {
        this(name, minRpm, maxRpm, power, minFeed, maxFeed, Optional.empty());
    }

    /** @throws homalon.core.input.BadInputException naming every figure that no machine has */
    public Machine {
        Problems problems = new Problems();
        problems.require(
                name != null && !name.isBlank() && name.length() <= 80,
                "name",
                "cut.machine-key-what-the-shop-calls-it");
        problems.require(
                minRpm > 0 && maxRpm >= minRpm && maxRpm <= 20000,
                "maxRpm",
                "cut.spindle-key-the-slowest-and-the-fastest");
        problems.require(power > 0 && power <= 200, "power", "cut.spindle-power-key-it-in-kw-such-as-3");
        problems.require(
                minFeed > 0 && maxFeed >= minFeed && maxFeed <= 20000,
                "maxFeed",
                "cut.table-key-the-slowest-and-the-fastest");
        problems.require(
                step.filter(s -> s.mm() < 0.0005 || s.mm() > 0.1).isEmpty(),
                "step",
                "cut.one-step-of-the-dial-key-from-0-0005-to");
        problems.throwIfAny();
    }

    /** The depths that it can be set to, in steps of its own dial. */
    public Length dialStep(BenchUnit unit) {
        return step.orElseGet(() -> RuleBook.dialStep(unit));
    }
}
