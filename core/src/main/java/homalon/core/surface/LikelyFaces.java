package homalon.core.surface;

import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Whole faces that agree with {@link Evidence}, drawn from a {@link SurfacePrior}. As in {@link Surface} a face is of one
 * of the prior's levels, each as likely as the evidence's hints make it; for each a {@link FaceStroll} is taken.
 */
public final class LikelyFaces {
    private static final long SEED = 20_261_130L;
    /** A level that is less likely than this is left out. */
    private static final double UNLIKELY = 0.01;
    /** Of the local part's variance: what is left of a place below this is dropped. */
    private static final double NOTHING = 4e-3;

    private static final int MOST_DIRECTIONS = 140;

    /**
     * One face.
     *
     * @param heights at the places, mm
     * @param fault that it has
     * @param weight how much it counts
     */
    public record Face(double[] heights, Optional<Fault> fault, double weight) {}

    private final List<FaceStroll> strolls = new ArrayList<>();
    private final List<Double> weights = new ArrayList<>();
    private final List<List<Face>> drawn = new ArrayList<>();

    /**
     * @param ground of the face
     * @param places whose heights are drawn: first those that the evidence asks for, in its order
     * @param gone where a gasket was seen to be gone
     */
    public LikelyFaces(SurfacePrior prior, Ground ground, List<Spot> places, Evidence evidence, List<Spot> gone) {
        PlacedFaults faults = new PlacedFaults(Faults.of(ground, prior, gone), places, evidence.places());
        double[][] uneven = uneven(places, prior.length());
        Random random = new Random(SEED);
        List<FaceStroll> all = new ArrayList<>();
        double most = Double.NEGATIVE_INFINITY;
        double[] logs = new double[prior.levels().size()];
        for (int k = 0; k < logs.length; k++) {
            SurfacePrior.Level level = prior.levels().get(k);
            all.add(new FaceStroll(
                    prior.at(level), ground.box(), places, uneven, evidence, faults, new Random(random.nextLong())));
            logs[k] = Math.log(level.share()) + all.get(k).logEvidence();
            most = Math.max(most, logs[k]);
        }
        double sum = 0;
        for (double log : logs) {
            sum += Math.exp(log - most);
        }
        for (int k = 0; k < logs.length; k++) {
            double weight = Math.exp(logs[k] - most) / sum;
            if (weight >= UNLIKELY) {
                strolls.add(all.get(k));
                weights.add(weight);
                drawn.add(new ArrayList<>());
            }
        }
        double kept = weights.stream().mapToDouble(w -> w).sum();
        weights.replaceAll(w -> w / kept);
    }

    /** What directions a local part of standard deviation 1 moves in: the same for each level. */
    private static double[][] uneven(List<Spot> places, double length) {
        double[] ones = new double[places.size()];
        Arrays.fill(ones, 1);
        return PivotedFactor.directions(ones, pivot -> correlations(places, pivot, length), NOTHING, MOST_DIRECTIONS);
    }

    private static double[] correlations(List<Spot> places, int pivot, double length) {
        Spot at = places.get(pivot);
        return places.stream()
                .mapToDouble(p -> Matern.of(p.distance(at), length))
                .toArray();
    }

    /**
     * Draws on until there are so many. Asked the same, the same faces are drawn, at once or in several goes.
     *
     * @return all of them; weights together are 1
     */
    public List<Face> draw(int count) {
        for (int k = 0; k < strolls.size(); k++) {
            int wanted = Math.max(1, (int) Math.round(weights.get(k) * count));
            while (drawn.get(k).size() < wanted) {
                drawn.get(k).add(strolls.get(k).next());
            }
        }
        List<Face> all = new ArrayList<>();
        for (int k = 0; k < strolls.size(); k++) {
            double sum = drawn.get(k).stream().mapToDouble(Face::weight).sum();
            double share = weights.get(k) / sum;
            drawn.get(k).forEach(f -> all.add(new Face(f.heights(), f.fault(), f.weight() * share)));
        }
        return all;
    }
}
