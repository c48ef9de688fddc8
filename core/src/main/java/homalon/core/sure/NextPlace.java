package homalon.core.sure;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.surface.SurfaceDraws;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Where the next reading settles most. A place is worth what is expected to go of p (1 - p), summed over the limits, once its height is
 * known: the spread of p between groups of drawn faces that agree in that height. While the chance says out, it is the place at which a
 * reading is likeliest to prove it.
 */
public final class NextPlace {
    /** No nearer to a place that was read, mm. */
    private static final double APART = 8;

    private static final int GROUPS = 8;
    /** More drawn faces than this choose no better place. */
    private static final int ENOUGH = 400;
    /** How near to its limit a face still speaks for either side, in limits: hard counts of a rare event say nothing. */
    private static final double SOFT = 0.08;
    /** Least-squares reaches lie about so far over zones. */
    private static final double REACH_OVER_ZONE = 1.05;
    /** From here on the face is taken for out, and proof of that is looked for. */
    private static final double LIKELY_OUT = 0.6;

    private final FaceChance chance;
    private final SurfaceDraws draws;
    private final double noise;
    private final int[] faces;
    private final double[] weights;
    /** For each face and limit how far it speaks for being out, from 0 to 1. */
    private final double[][] sides;

    private NextPlace(FaceChance chance, SurfaceDraws draws, double noise) {
        this.chance = chance;
        this.draws = draws;
        this.noise = noise;
        int every = 1 + (chance.faces() - 1) / ENOUGH;
        this.faces =
                IntStream.iterate(0, f -> f < chance.faces(), f -> f + every).toArray();
        this.weights = new double[faces.length];
        this.sides = new double[faces.length][chance.grid().asked().size()];
        double all = 0;
        for (int k = 0; k < faces.length; k++) {
            weights[k] = chance.weight(faces[k]);
            all += weights[k];
            for (int l = 0; l < sides[k].length; l++) {
                sides[k][l] = soft(chance.reach(faces[k], l));
            }
        }
        for (int k = 0; k < weights.length; k++) {
            weights[k] /= all;
        }
    }

    /**
     * @param chance of the face as it was read
     * @param draws from which that was drawn
     * @param read places that were read
     * @param noise standard uncertainty of a reading, mm
     * @return empty when no place is left
     */
    public static Optional<Spot> of(FaceChance chance, SurfaceDraws draws, Points read, double noise) {
        NextPlace next = new NextPlace(chance, draws, noise);
        int best = -1;
        double most = Double.NEGATIVE_INFINITY;
        boolean prove = chance.any() > LIKELY_OUT;
        for (int s = 0; s < draws.places().size(); s++) {
            if (chance.grid().standable(s) && free(draws.places().get(s), read)) {
                double worth = prove ? next.proof(s) : next.settled(s);
                if (worth > most) {
                    most = worth;
                    best = s;
                }
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(draws.places().get(best));
    }

    private static boolean free(Spot spot, Points read) {
        for (int i = 0; i < read.size(); i++) {
            if (read.spot(i).distance(spot) < APART) {
                return false;
            }
        }
        return true;
    }

    /** How far from the plane the place may well lie: that is where a zone over the limit shows. */
    private double proof(int spot) {
        return Math.abs(draws.mean(spot)) + draws.spread(spot);
    }

    private double settled(int spot) {
        double mean = draws.mean(spot);
        double spread = Math.hypot(draws.spread(spot), noise);
        int limits = sides[0].length;
        double[] mass = new double[GROUPS];
        double[][] hit = new double[limits][GROUPS];
        for (int k = 0; k < sides.length; k++) {
            double w = weights[k];
            double at = (chance.height(faces[k], spot) - mean) / spread;
            int group = (int) Math.max(0, Math.min(GROUPS - 1, Math.floor(GROUPS / 2.0 + at * GROUPS / 5)));
            mass[group] += w;
            for (int l = 0; l < limits; l++) {
                hit[l][group] += w * sides[k][l];
            }
        }
        double worth = 0;
        for (int l = 0; l < limits; l++) {
            double p = 0;
            double between = 0;
            for (int g = 0; g < GROUPS; g++) {
                p += hit[l][g];
                between += mass[g] > 0 ? hit[l][g] * hit[l][g] / mass[g] : 0;
            }
            worth += between - p * p;
        }
        // A height that is all but known already settles nothing.
        return worth * (1 - noise * noise / (spread * spread));
    }

    private static double soft(double reach) {
        return 1 / (1 + Math.exp(-(reach / REACH_OVER_ZONE - 1) / SOFT));
    }
}
