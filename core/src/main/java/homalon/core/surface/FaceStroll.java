package homalon.core.surface;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Goes from face to face that agrees with evidence, for one height of the local part. Bends and local part, standard normals, are moved by
 * elliptical slice sampling (Murray, Adams, MacKay 2010) about what the hints make of them, put right by what that leaves (Nishihara,
 * Murray, Adams 2014). A fault is proposed as often and as large as the hints let it be, together with what it moves of all else, and taken
 * by a Metropolis step. Faults are drawn oftener than they occur, each kind as often as another, and weighed by what that exaggerates.
 */
final class FaceStroll {
    /** Share of faces that are drawn with a fault where nothing tells of one. */
    private static final double FAULTY = 0.5;
    /** Steps before the first face is kept, and from one that is kept to the next. */
    private static final int BEFORE = 150;

    private static final int BETWEEN = 3;
    /** Of the local part's variance: what is left of a place below this is dropped. */
    private static final double NOTHING = 4e-3;

    private static final int MOST_DIRECTIONS = 140;
    private static final int BENDS = 5;
    private static final int MOST_SHRINKS = 60;
    private static final int NONE = -1;

    private final SurfacePrior prior;
    private final List<Spot> places;
    private final Evidence evidence;
    private final Random random;
    /** Heights of each place for each of the normals: bends first, then the local part. */
    private final double[][] basis;

    private final HintedGuess guess;
    private final PlacedFaults faults;
    private final HintedGuess.Seen[] seen;
    /** How often a face has it among those that are drawn, before any evidence; the last is for none. */
    private final double[] drawnRates;
    /** How often it is proposed, one after another up to 1; the last is for none. */
    private final double[] proposed;

    private final double logEvidence;

    // Where the stroll stands.
    private double[] white;
    private int fault = NONE;
    private double amplitude;
    private double logLikely;
    private boolean begun;

    FaceStroll(SurfacePrior prior, Box box, List<Spot> places, Evidence evidence, PlacedFaults faults, Random random) {
        this.prior = prior;
        this.places = List.copyOf(places);
        this.evidence = evidence;
        this.random = random;
        this.basis = basis(box);
        this.guess = new HintedGuess(evidence.hints(), basis);
        this.faults = faults;
        this.seen = new HintedGuess.Seen[faults.count()];
        Arrays.setAll(seen, f -> guess.see(faults.way(f), faults.first(f)));
        this.drawnRates = exaggerated();
        this.proposed = proposals();
        this.logEvidence = guess.logEvidence() + together();
        this.white = new double[basis.length];
        this.logLikely = log(white, fault, amplitude);
    }

    private double[][] basis(Box box) {
        double[] ones = new double[places.size()];
        Arrays.fill(ones, 1);
        double[][] local = PivotedFactor.directions(ones, this::uneven, NOTHING, MOST_DIRECTIONS);
        double[][] all = new double[BENDS + local.length][places.size()];
        List<Double> bends = prior.bends().all();
        for (int j = 0; j < places.size(); j++) {
            double u = box.u(places.get(j).x());
            double v = box.v(places.get(j).y());
            double[] terms = {u * u, v * v, u * v, u * u * v, u * v * v};
            for (int k = 0; k < BENDS; k++) {
                all[k][j] = bends.get(k) * terms[k];
            }
            for (int k = 0; k < local.length; k++) {
                all[BENDS + k][j] = prior.local() * local[k][j];
            }
        }
        return all;
    }

    /** Correlation of the local part at every place with that at one of them. */
    private double[] uneven(int pivot) {
        return places.stream()
                .mapToDouble(p -> Matern.of(p.distance(places.get(pivot)), prior.length()))
                .toArray();
    }

    private double noFault() {
        return 1 - faults.ways().stream().mapToDouble(FaultShape::weight).sum();
    }

    private double[] exaggerated() {
        double[] all = new double[faults.count() + 1];
        long kinds = faults.ways().stream().map(FaultShape::fault).distinct().count();
        for (int f = 0; f < faults.count(); f++) {
            Fault kind = faults.way(f).fault();
            double ofKind = faults.ways().stream()
                    .filter(o -> o.fault() == kind)
                    .mapToDouble(FaultShape::weight)
                    .sum();
            all[f] = FAULTY / kinds * faults.way(f).weight() / ofKind;
        }
        all[faults.count()] = kinds == 0 ? 1 : 1 - FAULTY;
        return all;
    }

    private double[] proposals() {
        double[] all = new double[drawnRates.length];
        double most = most();
        double sum = 0;
        for (int f = 0; f < all.length; f++) {
            sum += drawnRates[f] * Math.exp((f < seen.length ? seen[f].logEvidence() : 0) - most);
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
        double sum = noFault() * Math.exp(-most);
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
        double[] z = heights(normals(white, fault, amplitude), fault, amplitude, places.size());
        return fault == NONE
                ? new LikelyFaces.Face(z, Optional.empty(), noFault() / drawnRates[faults.count()])
                : new LikelyFaces.Face(
                        z,
                        Optional.of(faults.way(fault).fault()),
                        faults.way(fault).weight() / drawnRates[fault]);
    }

    private double[] normals(double[] of, int which, double size) {
        double[] all = guess.normals(of);
        if (which != NONE) {
            double[] moves = seen[which].moves();
            for (int k = 0; k < all.length; k++) {
                all[k] += size * moves[k];
            }
        }
        return all;
    }

    /** Of the first places, so many. */
    private double[] heights(double[] normals, int which, double size, int count) {
        double[] z = new double[count];
        for (int k = 0; k < normals.length; k++) {
            double by = normals[k];
            double[] direction = basis[k];
            for (int j = 0; j < count; j++) {
                z[j] += by * direction[j];
            }
        }
        if (which != NONE) {
            double[] shape = count == evidence.places() ? faults.first(which) : faults.all(which);
            for (int j = 0; j < count; j++) {
                z[j] += size * shape[j];
            }
        }
        return z;
    }

    /** Evidence and prior of the normals, over the guess. */
    private double log(double[] of, int which, double size) {
        double[] normals = normals(of, which, size);
        double sum = evidence.log(heights(normals, which, size, evidence.places()));
        for (int k = 0; k < of.length; k++) {
            sum += 0.5 * (of[k] * of[k] - normals[k] * normals[k]);
        }
        return sum;
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
        double[] other = new double[white.length];
        Arrays.setAll(other, k -> random.nextGaussian());
        double least = logLikely + Math.log(1 - random.nextDouble());
        double angle = 2 * Math.PI * random.nextDouble();
        double from = angle - 2 * Math.PI;
        double to = angle;
        for (int i = 0; i < MOST_SHRINKS; i++) {
            double[] next = new double[white.length];
            double c = Math.cos(angle);
            double s = Math.sin(angle);
            for (int k = 0; k < next.length; k++) {
                next[k] = c * white[k] + s * other[k];
            }
            double log = log(next, fault, amplitude);
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
        double log = log(white, next, size);
        double ratio = log + ofAmplitude(next, size) - logLikely - ofAmplitude(fault, amplitude);
        if (ratio >= Math.log(1 - random.nextDouble())) {
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
