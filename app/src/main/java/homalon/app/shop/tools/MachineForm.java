package homalon.app.shop.tools;

import homalon.app.foundation.web.Blanks;
import homalon.core.cut.Machine;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.Quantity;
import java.util.Optional;

/**
 * A machine as it is keyed; what is no number is refused by the machine itself, in its own words.
 *
 * @param step of its dial; blank for the bench's usual one
 */
record MachineForm(
        String name, String minRpm, String maxRpm, String power, String minFeed, String maxFeed, String step) {
    MachineForm {
        name = Blanks.of(name).strip();
        step = Blanks.of(step);
    }

    Machine machine(BenchUnit unit) {
        return new Machine(
                name,
                ToolNumbers.number(minRpm),
                ToolNumbers.number(maxRpm),
                ToolNumbers.quantity(Quantity.POWER, power, unit),
                ToolNumbers.quantity(Quantity.FEED, minFeed, unit),
                ToolNumbers.quantity(Quantity.FEED, maxFeed, unit),
                step.isBlank() ? Optional.empty() : Optional.of(Length.parse(step, unit)));
    }
}
