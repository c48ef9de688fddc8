package homalon.core.rulebook;

import homalon.core.input.Problems;
import java.math.BigDecimal;

/**
 * Temperatures while a face was read, degrees C. A casting that is not soaked through bends: over 100 mm of depth 5 K between
 * its two sides bow an aluminium head by half a usual limit.
 *
 * @param part of the casting
 * @param room of the air beside it
 */
public record Soak(BigDecimal part, BigDecimal room) {
    /** More than this between part and room marks the survey, K. */
    public static final BigDecimal MOST = new BigDecimal(3);

    private static final BigDecimal COLDEST = new BigDecimal(-30);
    private static final BigDecimal HOTTEST = new BigDecimal(150);

    /** @throws homalon.core.input.BadInputException when one is no temperature of a shop */
    public Soak {
        Problems problems = new Problems();
        problems.require(fits(part), "part", "rulebook.part-key-its-temperature-in-degrees-c");
        problems.require(fits(room), "room", "rulebook.room-key-its-temperature-in-degrees-c");
        problems.throwIfAny();
    }

    private static boolean fits(BigDecimal value) {
        return value != null && value.compareTo(COLDEST) >= 0 && value.compareTo(HOTTEST) <= 0;
    }

    public BigDecimal difference() {
        return part.subtract(room).abs();
    }

    /** True when the casting had not taken the room's temperature. */
    public boolean marks() {
        return difference().compareTo(MOST) > 0;
    }
}
