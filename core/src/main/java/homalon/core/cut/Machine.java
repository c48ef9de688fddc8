package homalon.core.cut;

import homalon.core.input.Problems;

/**
 * A surfacing machine.
 *
 * @param minRpm slowest spindle, turns per minute
 * @param maxRpm fastest
 * @param power of the spindle, kW
 * @param minFeed slowest table, mm/min
 * @param maxFeed fastest table, mm/min
 */
public record Machine(String name, double minRpm, double maxRpm, double power, double minFeed, double maxFeed) {
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
        problems.throwIfAny();
    }
}
