package homalon.core.surface;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What a face may be before anything was read of it. Heights in millimetres; u and v run from -1 to 1 over the box of the face.
 *
 * <p>z = plane + bends + local part + at the most one {@link Fault}: the plane is free, each bend is normal about nothing, the local
 * part is a Gaussian process ({@link Matern}), a fault is there as often as its rate says and as large as a normal amplitude.
 *
 * <p>How far a face is bent and how even it is differs from face to face: each is one of some {@link Level levels}, so often each.
 *
 * @param bends standard deviations of the bends of a face that is bent as far as such faces are
 * @param length over which the local part keeps its height, mm
 * @param local standard deviation of the local part, mm
 * @param levels how far and how even; shares together 1
 * @param rates share of faces that have a fault; together below 1
 * @param sizes standard deviation of a fault's amplitude, mm
 * @param faces that it was learnt from; 0 for general values
 */
public record SurfacePrior(
        Bends bends,
        double length,
        double local,
        List<Level> levels,
        Map<Fault, Double> rates,
        Map<Fault, Double> sizes,
        int faces) {

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

        Bends times(double bent, double twisted) {
            return new Bends(bent * longBow, bent * crossBow, twisted * twist, bent * edgesApart, bent * endsApart);
        }
    }

    /**
     * One of the ways in which faces differ.
     *
     * @param local times the height of the local part
     * @param bent times what bows
     * @param twisted times the twist: a face that is straight along and across may be twisted all the same
     * @param share of all faces
     */
    public record Level(double local, double bent, double twisted, double share) {
        /** @throws IllegalArgumentException for a share below nothing, or a factor that is not above it */
        public Level {
            if (!(share >= 0) || !(local > 0) || !(bent > 0) || !(twisted > 0)) {
                throw new IllegalArgumentException("a level has a share, and factors above zero");
            }
        }

        /** The same as often as is said. */
        public Level of(double other) {
            return new Level(local, bent, twisted, other);
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
        double all = levels.stream().mapToDouble(Level::share).sum();
        if (Math.abs(all - 1) > 1e-9) {
            throw new IllegalArgumentException("shares of levels must be together 1");
        }
        levels = List.copyOf(levels);
        rates = Map.copyOf(rates);
        sizes = Map.copyOf(sizes);
    }

    /** Half, once or twice as uneven. */
    private static final double[][] UNEVEN = {{0.5, 0.25}, {1, 0.5}, {2, 0.25}};
    /** Nearly straight, bent a little, or as far as heads bend: general shares, for want of a shop's own. */
    private static final double[][] BENT = {{0.2, 0.4}, {0.5, 0.3}, {1, 0.3}};
    /** Hardly twisted, or as far as heads twist. */
    private static final double[][] TWISTED = {{0.3, 0.7}, {1, 0.3}};

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
                usualLevels(),
                Map.of(Fault.DIP, 0.005, Fault.GASKET, 0.5, Fault.WAVES, 0.02, Fault.STEP, 0.02, Fault.BOLTS, 0.05),
                Map.of(Fault.DIP, 0.06, Fault.GASKET, 0.06, Fault.WAVES, 0.008, Fault.STEP, 0.02, Fault.BOLTS, 0.03),
                0);
    }

    private static List<Level> usualLevels() {
        List<Level> all = new ArrayList<>();
        for (double[] uneven : UNEVEN) {
            for (double[] bent : BENT) {
                for (double[] twisted : TWISTED) {
                    all.add(new Level(uneven[0], bent[0], twisted[0], uneven[1] * bent[1] * twisted[1]));
                }
            }
        }
        return all;
    }

    /** What a face of one level may be. */
    SurfacePrior at(Level level) {
        return new SurfacePrior(
                bends.times(level.bent(), level.twisted()),
                length,
                level.local() * local,
                List.of(new Level(1, 1, 1, 1)),
                rates,
                sizes,
                faces);
    }

    /** The same where every face is bent and twisted as far as such faces are. */
    public SurfacePrior bentAlike() {
        Map<Double, Double> shares = new TreeMap<>();
        levels.forEach(l -> shares.merge(l.local(), l.share(), Double::sum));
        return withLevels(
                shares.entrySet().stream()
                        .map(e -> new Level(e.getKey(), 1, 1, e.getValue()))
                        .toList(),
                faces);
    }

    /** The same with levels as often as is said. */
    public SurfacePrior withLevels(List<Level> other, int learntFrom) {
        return new SurfacePrior(bends, length, local, other, rates, sizes, learntFrom);
    }

    /** The same, with a local part of another length and height. */
    public SurfacePrior withLocal(double lengthMm, double localMm, int learntFrom) {
        return new SurfacePrior(bends, lengthMm, localMm, levels, rates, sizes, learntFrom);
    }

    /** The same, with faults as often as is said. */
    public SurfacePrior withRates(Map<Fault, Double> other) {
        return new SurfacePrior(bends, length, local, levels, other, sizes, faces);
    }

    double rate(Fault fault) {
        return rates.getOrDefault(fault, 0.0);
    }

    double size(Fault fault) {
        return sizes.getOrDefault(fault, 0.0);
    }
}
