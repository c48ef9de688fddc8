package homalon.core.surface;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What faces that a shop has read tell of the next one like them: how often they are of each {@link SurfacePrior.Level}, and over what
 * length they are uneven. The greatest marginal likelihood of all their readings together with the general values, which count for as much
 * as {@link #STRENGTH} faces: found by expectation and maximisation (Dempster, Laird, Rubin 1977), which never lowers it.
 */
public final class Learnt {
    /** General values count for so many faces. */
    private static final double STRENGTH = 10;
    /** Fewer faces tell nothing. */
    public static final int FEWEST = 5;

    /** Over which a face is uneven, mm, and how often without anything else known. */
    private static final double[][] LENGTHS = {{50, 0.25}, {SurfacePrior.USUAL_LENGTH, 0.5}, {100, 0.25}};

    private static final int MOST_ROUNDS = 500;
    private static final double STILL = 1e-9;

    private Learnt() {}

    /**
     * Natural logarithms of the density of one face's readings.
     *
     * @param logs by length, then by level of the general prior
     */
    public record Face(double[][] logs) {}

    /**
     * What the readings of one face have to say.
     *
     * @param general prior of such a face, by its own limit
     */
    public static Face of(SurfacePrior general, Ground ground, Points read, Noise noise, List<Spot> gone) {
        FaultsRead faults = FaultsRead.of(Faults.of(ground, general, gone), read);
        double[][] logs = new double[LENGTHS.length][general.levels().size()];
        for (int l = 0; l < LENGTHS.length; l++) {
            SurfacePrior prior = general.withLocal(LENGTHS[l][0], general.local(), 0);
            ReadPlaces places = new ReadPlaces(ground.box(), read, prior.length());
            Map<Double, LocalFaults> behind = new HashMap<>();
            for (int k = 0; k < logs[l].length; k++) {
                SurfacePrior level = prior.at(prior.levels().get(k));
                LocalFaults seen = behind.computeIfAbsent(
                        level.local(), height -> new LocalFaults(new LocalPart(height, places, noise), faults));
                logs[l][k] = new Conditioned(new Factored(level, seen.part(), noise), seen).logEvidence();
            }
        }
        return new Face(logs);
    }

    /**
     * The general prior, with levels and length as faces like it had them; itself where those are fewer than {@link #FEWEST}.
     *
     * @param faces whose levels are those of the general prior
     */
    public static SurfacePrior from(SurfacePrior general, List<Face> faces) {
        if (faces.size() < FEWEST) {
            return general;
        }
        SurfacePrior best = general;
        double most = Double.NEGATIVE_INFINITY;
        for (int l = 0; l < LENGTHS.length; l++) {
            int length = l;
            List<double[]> logs = faces.stream().map(f -> f.logs()[length]).toList();
            double[] shares = shares(general, logs);
            double score = Math.log(LENGTHS[l][1]) + score(general, logs, shares);
            if (score > most) {
                most = score;
                best = general.withLocal(LENGTHS[l][0], general.local(), faces.size())
                        .withLevels(levels(general, shares), faces.size());
            }
        }
        return best;
    }

    private static List<SurfacePrior.Level> levels(SurfacePrior general, double[] shares) {
        List<SurfacePrior.Level> all = new ArrayList<>();
        for (int k = 0; k < shares.length; k++) {
            all.add(general.levels().get(k).of(shares[k]));
        }
        return all;
    }

    private static double[] shares(SurfacePrior general, List<double[]> faces) {
        int n = general.levels().size();
        double[] shares =
                general.levels().stream().mapToDouble(SurfacePrior.Level::share).toArray();
        for (int round = 0; round < MOST_ROUNDS; round++) {
            double[] next = new double[n];
            for (int k = 0; k < n; k++) {
                next[k] = STRENGTH * general.levels().get(k).share();
            }
            for (double[] face : faces) {
                double[] of = new double[n];
                double all = mixed(face, shares, of);
                for (int k = 0; k < n; k++) {
                    next[k] += Math.exp(of[k] - all);
                }
            }
            double moved = 0;
            for (int k = 0; k < n; k++) {
                next[k] /= STRENGTH + faces.size();
                moved = Math.max(moved, Math.abs(next[k] - shares[k]));
            }
            shares = next;
            if (moved < STILL) {
                break;
            }
        }
        return shares;
    }

    /** Logarithm of the density of a face's readings; fills what each level has of it. */
    private static double mixed(double[] face, double[] shares, double[] of) {
        double most = Double.NEGATIVE_INFINITY;
        for (int k = 0; k < of.length; k++) {
            of[k] = Math.log(shares[k]) + face[k];
            most = Math.max(most, of[k]);
        }
        double sum = 0;
        for (double o : of) {
            sum += Math.exp(o - most);
        }
        return most + Math.log(sum);
    }

    private static double score(SurfacePrior general, List<double[]> faces, double[] shares) {
        double score = 0;
        for (int k = 0; k < shares.length; k++) {
            score += STRENGTH * general.levels().get(k).share() * Math.log(shares[k]);
        }
        for (double[] face : faces) {
            score += mixed(face, shares, new double[shares.length]);
        }
        return score;
    }
}
