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
                name != null && !name.isBlank() && name.length() <= 80, "name", "Machine: key what the shop calls it.");
        problems.require(
                minRpm > 0 && maxRpm >= minRpm && maxRpm <= 20000,
                "maxRpm",
                "Spindle: key the slowest and the fastest turns per minute, such as 200 and 1200.");
        problems.require(power > 0 && power <= 200, "power", "Spindle power: key it in kW, such as 3.");
        problems.require(
                minFeed > 0 && maxFeed >= minFeed && maxFeed <= 20000,
                "maxFeed",
                "Table: key the slowest and the fastest feed in mm per minute, such as 25 and 800.");
        problems.require(
                step.filter(s -> s.mm() < 0.0005 || s.mm() > 0.1).isEmpty(),
                "step",
                "One step of the dial: key from 0.0005 to 0.1 mm (0.02 to 4 thou), such as 0.005 mm.");
        problems.throwIfAny();
    }

    /** The depths that it can be set to, in steps of its own dial. */
    public Length dialStep(BenchUnit unit) {
        return step.orElseGet(() -> RuleBook.dialStep(unit));
    }
}
