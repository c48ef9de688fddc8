package homalon.core.sure;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How much of a face a cut cleans and what it takes to clean it, with what lies between the places that were read: over whole faces that
 * agree with the readings.
 *
 * @param depth from first touch, the highest of the face
 * @param shares of the land that has to come clean that are, one for each depth that was asked about
 */
public record CleanUp(CleanDepth depth, List<Share> shares) {
    private static final long SEED = 20_261_130L;
    private static final int PLAIN = 300;
    private static final int FAULTY = 150;
    private static final double TENTH = 0.1;

    /** Of the land, 0 to 1: in nine of ten cases more than the least, as likely as not more than the likely, in one more than the most. */
    public record Share(double least, double likely, double most) {}

    /** Faces above the cutter's plane at each place of the grid, and how much each counts. */
    private record Drawn(List<double[]> above, double[] weights) {}

    /**
     * @param read sealing places, mm: four at the least, not on one line
     * @param plane that is level with the cutter, in the frame of what was read
     * @param seals which places of the grid have to come clean
     * @param depths from first touch that are asked about, mm
     */
    public static CleanUp of(Sureness.Question question, Points read, Plane plane, boolean[] seals, double[] depths) {
        Drawn drawn = drawn(question, read, plane);
        int n = drawn.above().size();
        double[] needed = new double[n];
        double[][] clean = new double[depths.length][n];
        for (int f = 0; f < n; f++) {
            double[] above = drawn.above().get(f);
            double highest = Arrays.stream(above).max().orElseThrow();
            double lowest = IntStream.range(0, above.length)
                    .filter(i -> seals[i])
                    .mapToDouble(i -> above[i])
                    .min()
                    .orElse(highest);
            needed[f] = highest - lowest;
            for (int d = 0; d < depths.length; d++) {
                double down = highest - depths[d];
                clean[d][f] = share(above, seals, down);
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

    /** Of the places that have to come clean, how many lie no lower; all where none has to. */
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
        FaceGrid grid = question.grid();
        Plane level = LeastSquaresPlane.fit(read);
        SurfaceDraws draws = Surface.given(
                        question.prior(), grid.ground(), Sureness.above(read, level), question.noise(), question.gone())
                .over(grid.spots());
        SurfaceDraws.Faces faces = draws.draw(PLAIN, FAULTY, SEED);
        double[] tilt = grid.spots().stream()
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
        return new Drawn(above, weights);
    }
}
