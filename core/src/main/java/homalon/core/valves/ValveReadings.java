package homalon.core.valves;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What was measured of one valve.
 *
 * @param figures mm, or kPa for vacuum
 * @param looks what was said of its seat; empty when nothing was
 */
public record ValveReadings(Map<Measure, Double> figures, Set<Look> looks) {
    public ValveReadings {
        figures = figures.isEmpty() ? Map.of() : new EnumMap<>(figures);
        looks = Set.copyOf(looks);
    }

    public static final ValveReadings NONE = new ValveReadings(Map.of(), Set.of());

    /** @throws NoSuchElementException where it was not read */
    public double get(Measure measure) {
        return figure(measure).orElseThrow();
    }

    public OptionalDouble figure(Measure measure) {
        Double read = figures.get(measure);
        return read == null ? OptionalDouble.empty() : OptionalDouble.of(read);
    }

    public boolean has(Measure measure) {
        return figures.containsKey(measure);
    }

    public boolean empty() {
        return figures.isEmpty() && looks.isEmpty();
    }

    /** Stem diameters that were read. */
    public double[] stem() {
        return Stream.of(Measure.STEM_TOP, Measure.STEM_MIDDLE, Measure.STEM_BOTTOM)
                .filter(this::has)
                .mapToDouble(this::get)
                .toArray();
    }

    /** Bore at top, middle, bottom, {along, across}; null where one of the two is missing. */
    public double[][] bore() {
        return new double[][] {
            pair(Measure.GUIDE_TOP_ALONG, Measure.GUIDE_TOP_ACROSS),
            pair(Measure.GUIDE_MIDDLE_ALONG, Measure.GUIDE_MIDDLE_ACROSS),
            pair(Measure.GUIDE_BOTTOM_ALONG, Measure.GUIDE_BOTTOM_ACROSS)
        };
    }

    /** A stem and both directions of some place of its guide were read. */
    public boolean gauged() {
        return stem().length > 0 && Arrays.stream(bore()).anyMatch(b -> b != null);
    }

    /** The rocking check was measured: play, and how far below the guide. */
    public boolean rocked() {
        return has(Measure.PLAY) && has(Measure.REACH);
    }

    /** Its guide was felt by hand, and nothing of it measured that says more. */
    public boolean feltAlone() {
        return has(Measure.FEEL) && !gauged() && !rocked();
    }

    /** Found to rock by hand. */
    public boolean rocks() {
        return figure(Measure.FEEL).orElse(0) >= 2;
    }

    private double @Nullable [] pair(Measure along, Measure across) {
        return has(along) && has(across) ? new double[] {get(along), get(across)} : null;
    }
}
