package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.numeric.Rows;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.jspecify.annotations.Nullable;

/**
 * Goes from face to face that agrees with evidence, for one height of the local part. Bends and local part, standard normals, are moved by
 * elliptical slice sampling (Murray, Adams, MacKay 2010) about what the hints make of them, put right by what that leaves (Nishihara,
 * Murray, Adams 2014). A fault is proposed as often and as large as the hints let it be, together with what it moves of all else, and taken
 * by a Metropolis step. Faults are drawn oftener than they occur, each kind as often as another, and weighed by what that exaggerates.
 */
final class FaceStroll {
    /** Steps before the first face is kept, and from one that is kept to the next. */
    private static final int BEFORE = 150;

    private static final int BETWEEN = 3;
    private static final int BENDS = 5;
    private static final int MOST_SHRINKS = 60;
    private static final int NONE = -1;

    private final Evidence evidence;
    private final Random random;
    private final int count;
    /** Heights of each place for each of the normals: bends first, then the local part. */
    private final double[][] basis;

    private final HintedGuess guess;
    private final PlacedFaults faults;
    private final HintedGuess.Seen[] seen;
    /** How often it is proposed, one after another up to 1; the last is for none. */
    private final double[] proposed;

    private final double logEvidence;
    /** The middle of the guess, and what each fault moves of it for 1 mm; of the faults those that were asked for. */
    private final At middle;

    private final At[] moved;

    // Where the stroll stands.
    private At white;
    private int fault = NONE;
    private double amplitude;
    private double logLikely;
    private boolean begun;

    /**
     * Some normals of the guess, what they are of the prior's, and the heights at the places that the evidence asks for. All three are
     * sums: those of a mixture are the mixture of those, so that a step need not work them out anew.
     */
    private record At(double[] guessed, double[] normals, double[] heights) {
        At mixed(double c, At other, double s) {
            return new At(
                    mixed(guessed, c, other.guessed, s),
                    mixed(normals, c, other.normals, s),
                    mixed(heights, c, other.heights, s));
        }

        private static double[] mixed(double[] a, double c, double[] b, double s) {
            double[] all = new double[a.length];
            for (int k = 0; k < all.length; k++) {
                all[k] = c * a[k] + s * b[k];
            }
            return all;
        }
    }

    /** @param uneven height of each place for each direction of a local part of standard deviation 1 */
    FaceStroll(
            SurfacePrior prior,
            Box box,
            List<Spot> places,
            double[][] uneven,
            Evidence evidence,
            PlacedFaults faults,
            Random random) {
        this.evidence = evidence;
        this.random = random;
        this.count = places.size();
        this.basis = basis(prior, box, places, uneven);
        this.guess = new HintedGuess(evidence.hints(), basis);
        this.faults = faults;
        this.seen = new HintedGuess.Seen[faults.count()];
        Arrays.setAll(seen, f -> guess.see(faults.way(f), faults.first(f)));
        this.proposed = proposals();
        this.logEvidence = guess.logEvidence() + together();
        this.middle = at(new double[basis.length], guess.middle(), evidence.places());
        this.moved = new At[faults.count()];
        this.white = at(new double[basis.length]);
        this.logLikely = log(white, fault, amplitude, Double.NEGATIVE_INFINITY);
    }

    private static double[][] basis(SurfacePrior prior, Box box, List<Spot> places, double[][] uneven) {
        double[][] all = new double[BENDS + uneven.length][places.size()];
        List<Double> bends = prior.bends().all();
        for (int j = 0; j < places.size(); j++) {
            double u = box.u(places.get(j).x());
            double v = box.v(places.get(j).y());
            double[] terms = {u * u, v * v, u * v, u * u * v, u * v * v};
            for (int k = 0; k < BENDS; k++) {
                all[k][j] = bends.get(k) * terms[k];
            }
        }
        double local = prior.local();
        for (int k = 0; k < uneven.length; k++) {
            double[] row = all[BENDS + k];
            for (int j = 0; j < row.length; j++) {
                row[j] = local * uneven[k][j];
            }
        }
        return all;
    }

    private double[] proposals() {
        double[] all = new double[faults.count() + 1];
        double most = most();
        double sum = 0;
        for (int f = 0; f < all.length; f++) {
            sum += faults.drawnRate(f) * Math.exp((f < seen.length ? seen[f].logEvidence() : 0) - most);
            all[f] = sum;
        }
        for (int f = 0; f < all.length; f++) {
            all[f] /= sum;
        }
        return all;
    }

    private double most() {
        return Math.max(
                0,
                Arrays.stream(seen)
                        .mapToDouble(HintedGuess.Seen::logEvidence)
                        .max()
                        .orElse(0));
    }

    /** What faults at their own rates add to the evidence, logarithm. */
    private double together() {
        double most = most();
        double sum = faults.none() * Math.exp(-most);
        for (int f = 0; f < seen.length; f++) {
            sum += faults.way(f).weight() * Math.exp(seen[f].logEvidence() - most);
        }
        return most + Math.log(sum);
    }

    /** Natural logarithm of how likely the hints are, faults included. */
    double logEvidence() {
        return logEvidence;
    }

    /** The next face: it weighs as much more or less as its fault is rarer than it is drawn. */
    LikelyFaces.Face next() {
        steps(begun ? BETWEEN : BEFORE);
        begun = true;
        double[] z = heights(normals(white, fault, amplitude), count);
        if (fault != NONE) {
            double[] shape = faults.all(fault);
            for (int j = 0; j < count; j++) {
                z[j] += amplitude * shape[j];
            }
        }
        return fault == NONE
                ? new LikelyFaces.Face(z, Optional.empty(), faults.none() / faults.drawnRate(faults.count()))
                : new LikelyFaces.Face(
                        z,
                        Optional.of(faults.way(fault).fault()),
                        faults.way(fault).weight() / faults.drawnRate(fault));
    }

    private At at(double[] guessed) {
        return at(guessed, guess.away(guessed), evidence.places());
    }

    private At at(double[] guessed, double[] normals, int count) {
        return new At(guessed, normals, heights(normals, count));
    }

    /** What a fault of 1 mm moves, with what it is itself. */
    private At moved(int which) {
        At known = moved[which];
        if (known == null) {
            double[] normals = guess.moves(seen[which]);
            double[] z = heights(normals, evidence.places());
            for (int j = 0; j < z.length; j++) {
                z[j] += faults.first(which)[j];
            }
            known = new At(new double[0], normals, z);
            moved[which] = known;
        }
        return known;
    }

    private double[] normals(At of, int which, double size) {
        return together(middle.normals, of.normals, which == NONE ? null : moved(which).normals, size);
    }

    private static double[] together(double[] middle, double[] of, double @Nullable [] moved, double size) {
        double[] all = new double[of.length];
        for (int k = 0; k < all.length; k++) {
            all[k] = middle[k] + of[k] + (moved == null ? 0 : size * moved[k]);
        }
        return all;
    }

    /** Of the first places, so many. */
    private double[] heights(double[] normals, int count) {
        double[] z = new double[count];
        Rows.add(z, basis, normals);
        return z;
    }

    /** Evidence and prior of the normals, over the guess; anything that is no more than the least where that is not either. */
    private double log(At of, int which, double size, double least) {
        double[] normals = normals(of, which, size);
        double prior = 0;
        for (int k = 0; k < normals.length; k++) {
            prior += 0.5 * (of.guessed[k] * of.guessed[k] - normals[k] * normals[k]);
        }
        double[] z = together(middle.heights, of.heights, which == NONE ? null : moved(which).heights, size);
        return prior + evidence.log(z, least - prior);
    }

    private void steps(int count) {
        for (int i = 0; i < count; i++) {
            slice();
            if (faults.count() > 0) {
                change();
            }
        }
    }

    private void slice() {
        double[] normals = new double[basis.length];
        Arrays.setAll(normals, k -> random.nextGaussian());
        At other = at(normals);
        double least = logLikely + Math.log(1 - random.nextDouble());
        double angle = 2 * Math.PI * random.nextDouble();
        double from = angle - 2 * Math.PI;
        double to = angle;
        for (int i = 0; i < MOST_SHRINKS; i++) {
            At next = white.mixed(Math.cos(angle), other, Math.sin(angle));
            double log = log(next, fault, amplitude, least);
            if (log > least) {
                white = next;
                logLikely = log;
                return;
            }
            if (angle < 0) {
                from = angle;
            } else {
                to = angle;
            }
            angle = from + (to - from) * random.nextDouble();
        }
    }

    private void change() {
        int found = Arrays.binarySearch(proposed, random.nextDouble());
        int first = Math.min(found < 0 ? -found - 1 : found, faults.count());
        int next = first == faults.count() ? NONE : first;
        if (next == NONE && fault == NONE) {
            return;
        }
        double size = next == NONE ? 0 : size(next);
        double least =
                Math.log(1 - random.nextDouble()) + logLikely + ofAmplitude(fault, amplitude) - ofAmplitude(next, size);
        double log = log(white, next, size, least);
        if (log > least) {
            fault = next;
            amplitude = size;
            logLikely = log;
        }
    }

    private double size(int which) {
        HintedGuess.Seen guessed = seen[which];
        double size;
        if (faults.way(which).fault().oneWay()) {
            double under = Normal.below(-guessed.mean() / guessed.spread());
            size = Math.max(
                    0, guessed.mean() + guessed.spread() * Normal.quantile(under + (1 - under) * random.nextDouble()));
        } else {
            size = guessed.mean() + guessed.spread() * random.nextGaussian();
        }
        return size;
    }

    /**
     * Of a fault and its amplitude: how often it is drawn by how often it is proposed, logarithm. Rate and evidence of the proposal cancel
     * all but the two normal densities, and what is cut off a one-way amplitude is a part of the evidence.
     */
    private double ofAmplitude(int which, double size) {
        if (which == NONE) {
            return 0;
        }
        HintedGuess.Seen guessed = seen[which];
        double scale = faults.way(which).size();
        double off = (size - guessed.mean()) / guessed.spread();
        double prior = -0.5 * size * size / (scale * scale) - Math.log(scale);
        double proposal = -0.5 * off * off - Math.log(guessed.spread());
        boolean oneWay = faults.way(which).fault().oneWay();
        double cut = oneWay ? Math.log(2) + Math.log(Normal.below(guessed.mean() / guessed.spread())) : 0;
        return prior + cut - proposal - guessed.logEvidence();
    }
}
