package homalon.core.surface;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import java.util.ArrayList;
import java.util.List;

/**
 * What readings make of a {@link SurfacePrior}: how likely each height of the local part and each fault is, and with {@link #over} the
 * face as it most likely is, how far it may be from that at any place, and whole faces that agree with the readings.
 *
 * <p>How even a face is differs from face to face: the height of its local part is half, once or twice that of the prior, each with
 * what it has for itself from the readings. Of more readings than anything hides between, some hundred tell which it is, and all of them
 * condition that one.
 */
public final class Surface {
    private static final double[] TIMES = {0.5, 1, 2};
    private static final double[] SHARES = {0.25, 0.5, 0.25};
    /** A height of the local part that is less likely than this changes no figure that is shown. */
    private static final double UNLIKELY = 0.002;
    /** More places than this lie closer than any fault is wide: nothing hides between them. */
    private static final int DENSE = 400;

    private final List<Conditioned> levels = new ArrayList<>();
    private final List<Double> weights = new ArrayList<>();
    private final double logEvidence;

    private Surface(SurfacePrior prior, Ground ground, Points read, Noise noise, List<Spot> gone) {
        boolean dense = read.size() > DENSE;
        List<FaultShape> ways = dense ? List.of() : Faults.of(ground, prior, gone);
        Points weighed = dense ? spread(read) : read;
        FaultsRead known = FaultsRead.of(ways, weighed);
        List<Conditioned> all = new ArrayList<>();
        double[] logs = new double[TIMES.length];
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < TIMES.length; k++) {
            SurfacePrior level = prior.withLocal(prior.length(), TIMES[k] * prior.local(), prior.faces());
            all.add(new Conditioned(level, ground.box(), weighed, noise, known));
            logs[k] = Math.log(SHARES[k]) + all.get(k).logEvidence();
            most = Math.max(most, logs[k]);
        }
        double sum = 0;
        for (double log : logs) {
            sum += Math.exp(log - most);
        }
        this.logEvidence = most + Math.log(sum);
        if (dense) {
            int likeliest = 0;
            for (int k = 1; k < TIMES.length; k++) {
                likeliest = logs[k] > logs[likeliest] ? k : likeliest;
            }
            SurfacePrior level = prior.withLocal(prior.length(), TIMES[likeliest] * prior.local(), prior.faces());
            levels.add(new Conditioned(level, ground.box(), read, noise, FaultsRead.of(ways, read)));
            weights.add(1.0);
            return;
        }
        double kept = 0;
        for (int k = 0; k < TIMES.length; k++) {
            double weight = Math.exp(logs[k] - most) / sum;
            if (weight >= UNLIKELY) {
                levels.add(all.get(k));
                weights.add(weight);
                kept += weight;
            }
        }
        double together = kept;
        weights.replaceAll(w -> w / together);
    }

    /** So many of them as tell how even the face is, evenly out of their order. */
    private static Points spread(Points read) {
        double[][] some = new double[DENSE][];
        for (int i = 0; i < DENSE; i++) {
            int at = (int) ((long) i * read.size() / DENSE);
            some[i] = new double[] {read.x(at), read.y(at), read.z(at)};
        }
        return Points.of(some);
    }

    /**
     * @param read places and heights, mm, about level; none is allowed: then the prior stands
     * @param noise standard uncertainty of one reading, mm, above zero
     * @param gone where a gasket was seen to be gone
     */
    public static Surface given(SurfacePrior prior, Ground ground, Points read, double noise, List<Spot> gone) {
        return given(prior, ground, read, Noise.of(noise), gone);
    }

    /** The same of readings that may share a bend. */
    public static Surface given(SurfacePrior prior, Ground ground, Points read, Noise noise, List<Spot> gone) {
        return new Surface(prior, ground, read, noise, gone);
    }

    /** Natural logarithm of the density of the readings under the prior: what different priors are compared by. */
    public double logEvidence() {
        return logEvidence;
    }

    /** How likely it is that the face has a fault of that kind. */
    public double chanceOf(Fault fault) {
        double sum = 0;
        for (int k = 0; k < levels.size(); k++) {
            sum += weights.get(k) * levels.get(k).chanceOf(fault);
        }
        return sum;
    }

    /** Everything about these places at once, from which whole faces are drawn. */
    public SurfaceDraws over(List<Spot> places) {
        return new SurfaceDraws(levels, weights, places);
    }
}
