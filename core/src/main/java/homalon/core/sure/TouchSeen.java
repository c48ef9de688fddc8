package homalon.core.sure;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.surface.Noise;
import homalon.core.surface.Surface;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.apache.commons.numbers.gamma.Erfc;

/**
 * What a cutter was seen to touch. Faces are drawn near what was seen and weighed by how well they agree with it (importance sampling): where
 * bare metal ends a face is about as high as the cutter, and lower where it was not touched though the readings say that it is high; so much
 * is taken for read when faces are drawn, roughly, and taken back from their weights. The cutter may stand somewhat higher or lower than its
 * dial says, by the same in every look: first touch is found by a hand.
 *
 * @param depth to which it had come, from first touch by the dial, mm
 * @param ends places where bare metal ends
 * @param bare places of the grid that were touched
 * @param open those that were not; of the others nobody said
 * @param rim of both, those beside which the other begins
 */
public record TouchSeen(double depth, List<Spot> ends, BitSet bare, BitSet open, BitSet rim) {
    /** Spread of what is taken for read when faces are drawn, and how far below the cutter they are looked for where it did not touch, mm. */
    private static final double NEAR = 0.02;

    private static final double BELOW = 0.012;
    /** As many are taken for read. */
    private static final int MOST_NEAR = 60;
    /** Of the cutter's height by its dial, mm; and of the tenth in which first touch was taken wrongly or the casting moved. */
    private static final double DIAL = 0.006;

    private static final double DIAL_WRONG = 0.025;
    private static final double DIALS_WRONG = 0.1;
    /** By how much off it is tried to either side, and in which steps, mm. */
    private static final double MOST_OFF = 0.06;

    private static final double STEP = 0.004;
    /** Of whether a place is touched: metal between the places, the hand that paints; standard, mm. */
    private static final double TOUCHED = 0.004;
    /** The same beside where the other begins. */
    private static final double RIM = 0.01;
    /** Share of what is painted that is simply wrong. */
    private static final double WRONG = 0.02;
    /** A patch is painted with one stroke: its places say less than each by itself. */
    private static final double COUNTS = 0.3;
    /** So many faces tell as much as if each counted alike; with fewer, what was seen is believed less. */
    private static final double FEWEST = 40;

    private static final double HALF = 0.5;
    private static final double ROOT_2 = Math.sqrt(2);

    public TouchSeen {
        ends = List.copyOf(ends);
        bare = (BitSet) bare.clone();
        open = (BitSet) open.clone();
        rim = (BitSet) rim.clone();
    }

    /** The greatest depth at which some of what has to come clean was seen not to be, mm; 0 where all was. */
    static double openAt(List<TouchSeen> looks, boolean[] clean) {
        return looks.stream()
                .filter(l -> l.open().stream().anyMatch(i -> clean[i]))
                .mapToDouble(TouchSeen::depth)
                .max()
                .orElse(0);
    }

    /** A place, and the height above the cutter's plane at which faces are looked for there, mm. */
    private record Guide(Spot at, double above) {}

    /** @param byReadings faces that agree with the readings alone */
    static CleanUp.Drawn weigh(
            Sureness.Question question, Points read, CleanUp.Cut cut, List<TouchSeen> looks, CleanUp.Drawn byReadings) {
        List<Spot> spots = question.grid().spots();
        List<Guide> guides = some(guides(spots, looks, byReadings), Math.min(MOST_NEAR, Surface.MOST - read.size()));
        Noise noise = question.noise().with(new Noise.Rough(guides.size(), NEAR));
        List<Spot> places = new ArrayList<>(spots);
        guides.forEach(g -> places.add(g.at()));
        CleanUp.Drawn drawn =
                CleanUp.drawn(question, noise, read, with(read, guides, cut.plane()), cut.plane(), places);
        int n = drawn.above().size();
        double[] logs = new double[n];
        double[] higher = new double[n];
        List<double[]> above = new ArrayList<>();
        for (int f = 0; f < n; f++) {
            double[] all = drawn.above().get(f);
            double[] own = Arrays.copyOf(all, spots.size());
            double[] said = agrees(own, looks);
            logs[f] = said[0];
            higher[f] = said[1];
            for (int g = 0; g < guides.size(); g++) {
                double off = (all[spots.size() + g] - guides.get(g).above()) / NEAR;
                logs[f] += HALF * off * off;
            }
            above.add(own);
        }
        return new CleanUp.Drawn(above, higher, tempered(drawn.weights(), logs));
    }

    private static List<Guide> guides(List<Spot> spots, List<TouchSeen> looks, CleanUp.Drawn byReadings) {
        double top = new Quantiles(
                        byReadings.above().stream()
                                .mapToDouble(CleanUp::highest)
                                .toArray(),
                        byReadings.weights())
                .at(HALF);
        double[] mean = new double[spots.size()];
        for (int f = 0; f < byReadings.weights().length; f++) {
            double[] above = byReadings.above().get(f);
            for (int i = 0; i < mean.length; i++) {
                mean[i] += byReadings.weights()[f] * above[i];
            }
        }
        List<Guide> all = new ArrayList<>();
        for (TouchSeen look : looks) {
            double cutter = top - look.depth();
            look.ends().forEach(e -> all.add(new Guide(e, cutter)));
            look.open().stream()
                    .filter(i -> mean[i] > cutter)
                    .forEach(i -> all.add(new Guide(spots.get(i), cutter - BELOW)));
        }
        return all;
    }

    /** Evenly out of their order. */
    private static List<Guide> some(List<Guide> all, int most) {
        List<Guide> some = new ArrayList<>();
        int count = Math.max(0, Math.min(most, all.size()));
        for (int k = 0; k < count; k++) {
            some.add(all.get((int) ((long) k * all.size() / count)));
        }
        return some;
    }

    /** What was read, and after it the guides, in the frame of what was read. */
    private static Points with(Points read, List<Guide> guides, Plane plane) {
        double[][] all = new double[read.size() + guides.size()][];
        for (int i = 0; i < read.size(); i++) {
            all[i] = new double[] {read.x(i), read.y(i), read.z(i)};
        }
        for (int g = 0; g < guides.size(); g++) {
            Spot at = guides.get(g).at();
            all[read.size() + g] = new double[] {
                at.x(), at.y(), plane.at(at.x(), at.y()) + guides.get(g).above()
            };
        }
        return Points.of(all);
    }

    /** How well a face agrees with the looks, natural logarithm, and by how much the cutter then stands higher than its dial says, mm. */
    private static double[] agrees(double[] above, List<TouchSeen> looks) {
        double highest = CleanUp.highest(above);
        int tried = 2 * (int) Math.round(MOST_OFF / STEP) + 1;
        double[] logs = new double[tried];
        double[] off = new double[tried];
        for (int k = 0; k < tried; k++) {
            off[k] = (k - tried / 2) * STEP;
            logs[k] = Math.log((1 - DIALS_WRONG) * normal(off[k], DIAL) + DIALS_WRONG * normal(off[k], DIAL_WRONG));
            for (TouchSeen look : looks) {
                logs[k] += COUNTS * look.agrees(above, highest - look.depth() + off[k]);
            }
        }
        double most = Arrays.stream(logs).max().orElseThrow();
        double sum = 0;
        double mean = 0;
        for (int k = 0; k < tried; k++) {
            double weight = Math.exp(logs[k] - most);
            sum += weight;
            mean += weight * off[k];
        }
        return new double[] {most + Math.log(sum), mean / sum};
    }

    private static double normal(double off, double spread) {
        return Math.exp(-HALF * off * off / (spread * spread)) / spread;
    }

    private double agrees(double[] above, double cutter) {
        double sum = 0;
        for (int i = bare.nextSetBit(0); i >= 0; i = bare.nextSetBit(i + 1)) {
            sum += likely((above[i] - cutter) / open(i));
        }
        for (int i = open.nextSetBit(0); i >= 0; i = open.nextSetBit(i + 1)) {
            sum += likely((cutter - above[i]) / open(i));
        }
        return sum;
    }

    private double open(int place) {
        return rim.get(place) ? RIM : TOUCHED;
    }

    private static double likely(double spreads) {
        return Math.log((1 - WRONG) * HALF * Erfc.value(-spreads / ROOT_2) + WRONG / 2);
    }

    /** Weights by how well each agrees; less of it where few faces would count for all. */
    private static double[] tempered(double[] weights, double[] logs) {
        double most = Arrays.stream(logs).max().orElseThrow();
        double[] now = new double[weights.length];
        for (double part = 1; ; part *= HALF) {
            double sum = 0;
            for (int f = 0; f < now.length; f++) {
                now[f] = weights[f] * Math.exp(part * (logs[f] - most));
                sum += now[f];
            }
            double squares = 0;
            for (int f = 0; f < now.length; f++) {
                now[f] /= sum;
                squares += now[f] * now[f];
            }
            if (1 / squares >= FEWEST || part < 1e-3) {
                return now;
            }
        }
    }
}
