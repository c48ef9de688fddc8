package homalon.core.surface;

import homalon.core.geometry.Spot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.ToDoubleFunction;
import java.util.random.RandomGenerator;

/**
 * Heights at many places of one face, given its readings, all at once: the most likely ones, their spread, and whole faces drawn from
 * what the readings leave open (conditional simulation).
 */
public final class SurfaceDraws {
    private final List<Conditioned> levels;
    private final List<ConditionedDraws> draws;
    private final List<Double> weights;
    private final List<Spot> places;

    SurfaceDraws(List<Conditioned> levels, List<Double> weights, List<Spot> places, Correlations alike) {
        this.levels = List.copyOf(levels);
        this.weights = List.copyOf(weights);
        this.places = List.copyOf(places);
        PlacesAsked asked = PlacesAsked.of(levels.get(0).readings().part().read(), places, alike);
        Map<LocalPart, LocalDraws> locals = new HashMap<>();
        this.draws = levels.stream()
                .map(l -> new ConditionedDraws(
                        l, locals.computeIfAbsent(l.readings().part(), part -> new LocalDraws(part, asked))))
                .toList();
    }

    /** In the order in which they were asked for. */
    public List<Spot> places() {
        return places;
    }

    private double mixed(ToDoubleFunction<ConditionedDraws> figure) {
        double sum = 0;
        for (int k = 0; k < draws.size(); k++) {
            sum += weights.get(k) * figure.applyAsDouble(draws.get(k));
        }
        return sum;
    }

    /** The most likely height of a face without a fault, mm. */
    public double mean(int place) {
        return mixed(d -> d.mean(place));
    }

    /** Standard deviation of that height, plane and all, mm. */
    public double spread(int place) {
        double mean = mean(place);
        return Math.sqrt(
                mixed(d -> d.spread(place) * d.spread(place) + (d.mean(place) - mean) * (d.mean(place) - mean)));
    }

    /** Covariance that is left between two places, mm2, without a fault. */
    public double covariance(int a, int b) {
        return mixed(d -> d.covariance(a, b));
    }

    /**
     * Whole faces.
     *
     * @param plain how many of them have no fault: the first ones
     * @param heights one row a face, one column a place, mm
     * @param faulty share of all faces that have a fault, as the readings leave it; 0 where none is possible
     */
    public record Faces(int plain, double[][] heights, double faulty) {}

    /**
     * Draws whole faces, first some without a fault, then some with one, so that rare faults are looked at closely without waiting for
     * them to turn up. Each of the first counts as much as another, and each of the others.
     *
     * @param plain how many without a fault, at least one
     * @param faulty how many with one; none are drawn where none is possible
     * @param seed the same seed gives the same faces
     */
    public Faces draw(int plain, int faulty, long seed) {
        RandomGenerator random = new SplittableRandom(seed);
        double[] none = new double[levels.size()];
        double[] with = new double[levels.size()];
        double allNone = 0;
        for (int k = 0; k < none.length; k++) {
            none[k] = weights.get(k) * levels.get(k).weight(0);
            with[k] = weights.get(k) - none[k];
            allNone += none[k];
        }
        boolean possible = levels.get(0).faults().size() > 0;
        int[] plainOf = spread(none, plain, random);
        int[] faultyOf = spread(with, possible ? faulty : 0, random);
        double[][] heights = new double[plain + (possible ? faulty : 0)][];
        int at = 0;
        for (int k = 0; k < plainOf.length; k++) {
            for (int d = 0; d < plainOf[k]; d++) {
                heights[at++] = draws.get(k).plain(random);
            }
        }
        for (int k = 0; k < faultyOf.length; k++) {
            ConditionedDraws.Picker picker = draws.get(k).picker(faultyOf[k], random);
            for (int d = 0; d < faultyOf[k]; d++) {
                heights[at] = draws.get(k).plain(random);
                draws.get(k).add(heights[at++], picker.next(), random);
            }
        }
        return new Faces(plain, heights, possible ? 1 - allNone : 0);
    }

    /** So many in all, each level in proportion to its weight; what is left over goes by chance. */
    private static int[] spread(double[] weights, int all, RandomGenerator random) {
        double sum = 0;
        for (double w : weights) {
            sum += w;
        }
        int[] of = new int[weights.length];
        double passed = 0;
        double shift = random.nextDouble();
        int given = 0;
        for (int k = 0; k < of.length; k++) {
            passed += weights[k] / sum * all;
            int until = k == of.length - 1 ? all : Math.min(all, (int) Math.floor(passed + shift));
            of[k] = Math.max(0, until - given);
            given += of[k];
        }
        return of;
    }
}
