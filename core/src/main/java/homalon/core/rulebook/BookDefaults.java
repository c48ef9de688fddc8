package homalon.core.rulebook;

import homalon.core.quantity.BenchUnit;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What stands in the books of valves, engines and tests where nothing was keyed: the shop's own figures, else general values, each of
 * them one round value in the shop's unit.
 *
 * @param unit of the shop
 * @param own the shop's own figures by the name of the item, in mm, degrees, cc, seconds, minutes, kPa, bar
 */
public record BookDefaults(BenchUnit unit, Map<String, Own> own) {
    private static final double MM_PER_THOU = 0.0254;
    private static final double BAR_PER_PSI = 0.0689475729;
    private static final double KPA_PER_INHG = 3.386389;

    public BookDefaults {
        own = Map.copyOf(own);
    }

    /**
     * A shop's own figure.
     *
     * @param from where the shop has it from
     */
    public record Own(double value, String from) {}

    /** The general values, in that unit. */
    public static BookDefaults of(BenchUnit unit) {
        return new BookDefaults(unit, Map.of());
    }

    /** Empty where the general value stands. */
    public OptionalDouble own(String item) {
        return Optional.ofNullable(own.get(item))
                .map(o -> OptionalDouble.of(o.value()))
                .orElseGet(OptionalDouble::empty);
    }

    /** A general value, round in the shop's unit. */
    public double round(double mm, double thou) {
        return unit == BenchUnit.MM ? mm : thou * MM_PER_THOU;
    }

    /** The same of a pressure. */
    public double roundPressure(double bar, double psi) {
        return unit == BenchUnit.MM ? bar : psi * BAR_PER_PSI;
    }

    /** The same of a vacuum. */
    public double roundVacuum(double kpa, double inHg) {
        return unit == BenchUnit.MM ? kpa : inHg * KPA_PER_INHG;
    }
}
