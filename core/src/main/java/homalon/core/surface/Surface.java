package homalon.core.surface;

import homalon.core.geometry.CellMeans;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * What readings make of a {@link SurfacePrior}: how likely each height of the local part and each fault is, and with {@link #over} the
 * face as it most likely is, how far it may be from that at any place, and whole faces that agree with the readings.
 *
 * <p>How far a face is bent and how even it is differs from face to face: each {@link SurfacePrior.Level} has what it has for itself from
 * the readings. Of more readings than some hundred, a scan of millions too, the means of small cells are what is taken for read
 * ({@link CellMeans}), each as open as one reading: what an instrument is wrong by is no less for being read often.
 */
public final class Surface {
    /** A level that is less likely than this changes no figure that is shown. */
    private static final double UNLIKELY = 0.002;
    /**
     * A bend that is less likely than this among those of one unevenness, of a face without a fault, is none with one either: a fault has
     * as much for itself in the others.
     */
    private static final double UNBENT = 5e-4;
    /** More places than this lie closer than any fault is wide: the means of small cells tell as much. */
    public static final int MOST = 300;

    private final List<Conditioned> levels = new ArrayList<>();
    private final List<Double> weights = new ArrayList<>();
    private final double logEvidence;
    private final double length;

    private Surface(SurfacePrior prior, Ground ground, Points read, Noise noise, List<Spot> gone) {
        this.length = prior.length();
        List<FaultShape> ways = Faults.of(ground, prior, gone);
        Points weighed = noise.rough().count() > 0 ? read : CellMeans.of(read, ground.box(), MOST);
        FaultsRead known = FaultsRead.of(ways, weighed);
        List<SurfacePrior.Level> possible = new ArrayList<>();
        List<Conditioned> all = new ArrayList<>();
        Map<LocalPart, LocalFaults> behind = new HashMap<>();
        for (Map.Entry<SurfacePrior.Level, Factored> one :
                likely(prior, ground, weighed, noise).entrySet()) {
            possible.add(one.getKey());
            LocalFaults faults = behind.computeIfAbsent(one.getValue().part(), part -> new LocalFaults(part, known));
            all.add(new Conditioned(one.getValue(), faults));
        }
        double[] logs = IntStream.range(0, all.size())
                .mapToDouble(k -> Math.log(possible.get(k).share()) + all.get(k).logEvidence())
                .toArray();
        double most = Arrays.stream(logs).max().orElseThrow();
        double sum = Arrays.stream(logs).map(l -> Math.exp(l - most)).sum();
        this.logEvidence = most + Math.log(sum);
        double kept = 0;
        for (int k = 0; k < logs.length; k++) {
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

    /** Levels whose bends are not out of the question, in their order: a fault is weighed in no other. */
    private static Map<SurfacePrior.Level, Factored> likely(
            SurfacePrior prior, Ground ground, Points read, Noise noise) {
        ReadPlaces places = new ReadPlaces(ground.box(), read, prior.length());
        Map<Double, LocalPart> parts = new HashMap<>();
        Map<SurfacePrior.Level, Factored> all = new LinkedHashMap<>();
        Map<Double, Double> best = new HashMap<>();
        for (SurfacePrior.Level level : prior.levels()) {
            if (level.share() > 0) {
                SurfacePrior at = prior.at(level);
                LocalPart part = parts.computeIfAbsent(at.local(), height -> new LocalPart(height, places, noise));
                Factored factored = new Factored(at, part, noise);
                all.put(level, factored);
                best.merge(level.local(), plain(level, factored), Math::max);
            }
        }
        all.entrySet()
                .removeIf(e -> plain(e.getKey(), e.getValue())
                        < best.getOrDefault(e.getKey().local(), Double.NEGATIVE_INFINITY) + Math.log(UNBENT));
        return all;
    }

    private static double plain(SurfacePrior.Level level, Factored factored) {
        return Math.log(level.share()) + factored.logEvidence();
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
        return over(places, new Correlations(places, length));
    }

    /**
     * The same.
     *
     * @param alike how alike those places are over this prior's length, kept by the caller
     */
    public SurfaceDraws over(List<Spot> places, Correlations alike) {
        return new SurfaceDraws(levels, weights, places, alike);
    }
}
