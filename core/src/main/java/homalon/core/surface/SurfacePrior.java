package homalon.core.surface;

import java.util.List;
import java.util.Map;

/**
 * What a face may be before anything was read of it. Heights in millimetres; u and v run from -1 to 1 over the box of the face.
 *
 * <p>z = plane + bends + local part + at the most one {@link Fault}: the plane is free, each bend is normal about nothing, the local
 * part is a Gaussian process ({@link Matern}), a fault is there as often as its rate says and as large as a normal amplitude.
 *
 * @param bends standard deviations of the bends
 * @param length over which the local part keeps its height, mm
 * @param local standard deviation of the local part, mm
 * @param rates share of faces that have a fault; together below 1
 * @param sizes standard deviation of a fault's amplitude, mm
 * @param faces that it was learnt from; 0 for general values
 */
public record SurfacePrior(
        Bends bends, double length, double local, Map<Fault, Double> rates, Map<Fault, Double> sizes, int faces) {

    /**
     * Standard deviations of what bends a whole face, mm.
     *
     * @param longBow of u squared
     * @param crossBow of v squared
     * @param twist of u v: a quarter of the fourth corner's lift
     * @param edgesApart of u squared v: the long edges bow by different amounts
     * @param endsApart of u v squared: the ends bow by different amounts
     */
    public record Bends(double longBow, double crossBow, double twist, double edgesApart, double endsApart) {
        List<Double> all() {
            return List.of(longBow, crossBow, twist, edgesApart, endsApart);
        }
    }

    public SurfacePrior {
        if (!(length > 0) || !(local > 0)) {
            throw new IllegalArgumentException("length and height of the local part must be above zero, mm");
        }
        double together = rates.values().stream().mapToDouble(r -> r).sum();
        if (rates.values().stream().anyMatch(r -> !(r >= 0)) || together >= 1) {
            throw new IllegalArgumentException("rates of faults must be shares of all faces, together below 1");
        }
        rates = Map.copyOf(rates);
        sizes = Map.copyOf(sizes);
    }

    private static final Bends WIDE = new Bends(0.08, 0.03, 0.03, 0.02, 0.01);
    /** Over which a face that nobody knows keeps its local height, mm. */
    public static final double USUAL_LENGTH = 70;
    /** Height of the local part as a share of the tightest limit. */
    public static final double USUAL_SHARE = 0.25;

    /**
     * General values, for a shop that has not read enough faces of its own.
     *
     * @param limit the tightest in force, mm
     */
    public static SurfacePrior usual(double limit) {
        return new SurfacePrior(
                WIDE,
                USUAL_LENGTH,
                USUAL_SHARE * limit,
                Map.of(Fault.DIP, 0.005, Fault.GASKET, 0.5, Fault.WAVES, 0.02, Fault.STEP, 0.02, Fault.BOLTS, 0.05),
                Map.of(Fault.DIP, 0.06, Fault.GASKET, 0.06, Fault.WAVES, 0.008, Fault.STEP, 0.02, Fault.BOLTS, 0.03),
                0);
    }

    /** The same, with a local part of another length and height. */
    public SurfacePrior withLocal(double lengthMm, double localMm, int learntFrom) {
        return new SurfacePrior(bends, lengthMm, localMm, rates, sizes, learntFrom);
    }

    /** The same, with faults as often as is said. */
    public SurfacePrior withRates(Map<Fault, Double> other) {
        return new SurfacePrior(bends, length, local, other, sizes, faces);
    }

    double rate(Fault fault) {
        return rates.getOrDefault(fault, 0.0);
    }

    double size(Fault fault) {
        return sizes.getOrDefault(fault, 0.0);
    }
}
