package homalon.core.sure;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Noise;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How much of a face a cut cleans and what it takes to clean it, with what lies between the places that were read and with what the cutter
 * was seen to touch: over whole faces that agree with both.
 *
 * @param depth from first touch, the highest of the face, by the dial
 * @param shares of the land that seals that are clean, one for each depth that was asked about
 */
public record CleanUp(CleanDepth depth, List<Share> shares) {
    static final long SEED = 20_261_130L;
    private static final int PLAIN = 300;
    private static final int FAULTY = 150;
    private static final double TENTH = 0.1;

    /** Of the land, 0 to 1: in nine of ten cases more than the least, as likely as not more than the likely, in one more than the most. */
    public record Share(double least, double likely, double most) {}

    /**
     * What is cut.
     *
     * @param plane that is level with the cutter, in the frame of what was read
     * @param clean which places of the grid have to come clean
     * @param seals of which of them a share is told
     */
    public record Cut(Plane plane, boolean[] clean, boolean[] seals) {}

    /**
     * Faces that are possible.
     *
     * @param above heights above the cutter's plane at each place of the grid, mm, one row a face
     * @param higher by how much the cutter stands higher than its dial says, mm, for each of them
     * @param weights how much each counts
     */
    record Drawn(List<double[]> above, double[] higher, double[] weights) {}

    /**
     * @param read sealing places, mm: four at the least, not on one line
     * @param looks what the cutter was seen to touch, in the order of the passes; none while nothing was looked at
     * @param depths from first touch that are asked about, mm
     */
    public static CleanUp of(Sureness.Question question, Points read, Cut cut, List<TouchSeen> looks, double[] depths) {
        Drawn byReadings = drawn(question, read, cut.plane());
        Drawn drawn = looks.isEmpty() ? byReadings : TouchSeen.weigh(question, read, cut, looks, byReadings);
        double down = TouchSeen.openAt(looks, cut.clean());
        int n = drawn.above().size();
        double[] needed = new double[n];
        double[][] clean = new double[depths.length][n];
        for (int f = 0; f < n; f++) {
            double[] above = drawn.above().get(f);
            double top = highest(above) + drawn.higher()[f];
            double lowest = IntStream.range(0, above.length)
                    .filter(i -> cut.clean()[i])
                    .mapToDouble(i -> above[i])
                    .min()
                    .orElse(top);
            needed[f] = Math.max(down, top - lowest);
            for (int d = 0; d < depths.length; d++) {
                clean[d][f] = share(above, cut.seals(), top - depths[d]);
            }
        }
        Quantiles all = new Quantiles(needed, drawn.weights());
        List<Share> shares = new ArrayList<>();
        for (double[] of : clean) {
            Quantiles q = new Quantiles(of, drawn.weights());
            shares.add(new Share(q.at(TENTH), q.at(0.5), q.at(1 - TENTH)));
        }
        return new CleanUp(new CleanDepth(all.at(0.5), all.at(1 - TENTH)), shares);
    }

    static double highest(double[] above) {
        return Arrays.stream(above).max().orElseThrow();
    }

    /** Of the places that seal, how many lie no lower; all where none does. */
    private static double share(double[] above, boolean[] seals, double down) {
        int all = 0;
        int clean = 0;
        for (int i = 0; i < above.length; i++) {
            all += seals[i] ? 1 : 0;
            clean += seals[i] && above[i] >= down ? 1 : 0;
        }
        return all == 0 ? 1 : (double) clean / all;
    }

    private static Drawn drawn(Sureness.Question question, Points read, Plane plane) {
        return drawn(
                question, question.noise(), read, read, plane, question.grid().spots());
    }

    /**
     * @param noise of what is taken for read
     * @param read sealing places
     * @param taken for read: those, and what is surmised
     * @param places whose heights are drawn
     */
    static Drawn drawn(
            Sureness.Question question, Noise noise, Points read, Points taken, Plane plane, List<Spot> places) {
        Plane level = LeastSquaresPlane.fit(read);
        SurfaceDraws draws = Surface.given(
                        question.prior(),
                        question.grid().ground(),
                        Sureness.above(taken, level),
                        noise,
                        question.gone())
                .over(places);
        SurfaceDraws.Faces faces = draws.draw(PLAIN, FAULTY, SEED);
        double[] tilt = places.stream()
                .mapToDouble(s -> level.at(s.x(), s.y()) - plane.at(s.x(), s.y()))
                .toArray();
        int with = faces.heights().length - faces.plain();
        List<double[]> above = new ArrayList<>();
        double[] weights = new double[faces.heights().length];
        for (int f = 0; f < weights.length; f++) {
            double[] z = faces.heights()[f].clone();
            for (int i = 0; i < z.length; i++) {
                z[i] += tilt[i];
            }
            above.add(z);
            weights[f] = f < faces.plain() ? (1 - faces.faulty()) / faces.plain() : faces.faulty() / with;
        }
        return new Drawn(above, new double[weights.length], weights);
    }
}
