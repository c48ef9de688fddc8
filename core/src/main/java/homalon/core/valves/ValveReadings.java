package homalon.core.valves;

import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.DoubleStream;

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

    /** NaN where it was not read. */
    public double get(Measure measure) {
        return figures.getOrDefault(measure, Double.NaN);
    }

    public boolean has(Measure measure) {
        return figures.containsKey(measure);
    }

    public boolean empty() {
        return figures.isEmpty() && looks.isEmpty();
    }

    /** Stem diameters that were read. */
    public double[] stem() {
        return DoubleStream.of(get(Measure.STEM_TOP), get(Measure.STEM_MIDDLE), get(Measure.STEM_BOTTOM))
                .filter(v -> !Double.isNaN(v))
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

    private double[] pair(Measure along, Measure across) {
        return has(along) && has(across) ? new double[] {get(along), get(across)} : null;
    }
}
