package homalon.core.sure;

import homalon.core.surface.SurfaceDraws;
import java.util.ArrayList;
import java.util.List;
import java.util.function.IntPredicate;

/**
 * The chance that a face breaks a limit somewhere, the places in between included: the share of whole faces, drawn from what the
 * readings leave open, that break it. Few are drawn while the answer is clear, more near the risk that is asked about.
 */
public final class FaceChance {
    private static final long SEED = 20_261_130L;
    /** Drawn at first, then in all where it is not clear, then where it is near the risk: without a fault; with one half as many. */
    private static final int[] ROUNDS = {80, 320, 1200};

    /** So many standard errors from the risk, the answer is clear. */
    private static final double SURE = 2.5;
    /** So far over its limit it speaks for being out as loudly as it can. */
    private static final double FAR = 1.4;
    /** Below this part of its limit a patch speaks for neither side. */
    private static final double NEAR = 0.8;

    private final FaceGrid grid;
    private final List<double[]> faces = new ArrayList<>();
    private final List<Boolean> faulty = new ArrayList<>();
    /** For each face and limit: the largest reach of a patch about its own plane, in limits; never less than the zone. */
    private final List<double[]> reaches = new ArrayList<>();

    private final List<boolean[]> over = new ArrayList<>();
    private double shareFaulty;
    private int plain;

    private FaceChance(FaceGrid grid) {
        this.grid = grid;
    }

    /**
     * @param risk that is asked about, such as 0.01
     */
    public static FaceChance of(SurfaceDraws draws, FaceGrid grid, double risk) {
        FaceChance chance = new FaceChance(grid);
        for (int round = 0; round < ROUNDS.length; round++) {
            chance.draw(draws, ROUNDS[round] - chance.plain, SEED + round);
            if (chance.clear(risk)) {
                break;
            }
        }
        return chance;
    }

    private boolean clear(double risk) {
        double any = any();
        double error = error();
        return any - SURE * error > risk || any + SURE * Math.max(error, 1.0 / faces.size()) < risk;
    }

    private void draw(SurfaceDraws draws, int wanted, long seed) {
        SurfaceDraws.Faces more = draws.draw(wanted, wanted / 2, seed);
        plain += more.plain();
        shareFaulty = more.faulty();
        for (int d = 0; d < more.heights().length; d++) {
            faces.add(more.heights()[d]);
            faulty.add(d >= more.plain());
            look(more.heights()[d]);
        }
    }

    private void look(double[] heights) {
        int limits = grid.asked().size();
        double[] reach = new double[limits];
        boolean[] broken = new boolean[limits];
        double[] level = grid.whole().level(heights);
        Bent.Rest rest = grid.bent().rest(level);
        for (int l = 0; l < limits; l++) {
            FaceGrid.Asked asked = grid.asked().get(l);
            double most = asked.limit().most().mm();
            for (Patch patch : asked.patches()) {
                if (broken[l] && reach[l] > FAR) {
                    break;
                }
                double r = patch.atMost(rest);
                if (r > NEAR * most) {
                    r = patch.reach(level);
                    broken[l] = broken[l] || (r > most && patch.wider(level, most));
                }
                reach[l] = Math.max(reach[l], r / most);
            }
        }
        reaches.add(reach);
        over.add(broken);
    }

    /** Weight of each face: those without a fault share one part, those with one the other. */
    double weight(int face) {
        return faulty.get(face) ? shareFaulty / (faces.size() - plain) : (1 - shareFaulty) / plain;
    }

    /** The chance that the limit of that number is broken. */
    public double of(int limit) {
        return share(f -> over.get(f)[limit]);
    }

    /** The chance that any limit is broken. */
    public double any() {
        return share(this::anyOver);
    }

    private boolean anyOver(int face) {
        for (boolean broken : over.get(face)) {
            if (broken) {
                return true;
            }
        }
        return false;
    }

    private double share(IntPredicate which) {
        double[] found = shares(which);
        return (1 - shareFaulty) * found[0] + shareFaulty * found[1];
    }

    /** Among those without a fault, and among those with one. */
    private double[] shares(IntPredicate which) {
        int[] all = new int[2];
        int[] hit = new int[2];
        for (int f = 0; f < faces.size(); f++) {
            int k = faulty.get(f) ? 1 : 0;
            all[k]++;
            hit[k] += which.test(f) ? 1 : 0;
        }
        return new double[] {all[0] == 0 ? 0 : (double) hit[0] / all[0], all[1] == 0 ? 0 : (double) hit[1] / all[1]};
    }

    /** Standard error of that chance from the number of faces drawn. */
    public double error() {
        double[] p = shares(this::anyOver);
        int with = faces.size() - plain;
        double a = (1 - shareFaulty) * (1 - shareFaulty) * p[0] * (1 - p[0]) / plain;
        double b = with == 0 ? 0 : shareFaulty * shareFaulty * p[1] * (1 - p[1]) / with;
        return Math.sqrt(a + b);
    }

    /** How many whole faces were drawn. */
    public int faces() {
        return faces.size();
    }

    double height(int face, int spot) {
        return faces.get(face)[spot];
    }

    double reach(int face, int limit) {
        return reaches.get(face)[limit];
    }

    FaceGrid grid() {
        return grid;
    }
}
