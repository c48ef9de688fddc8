package homalon.core.sure;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;

/**
 * What it takes to clean a face in one set-up, given what its readings leave open: from the highest metal anywhere on the land, which the
 * cutter touches first, to the lowest that has to come clean, over whole faces that agree with the readings.
 *
 * @param likely the depth that is as likely to clean it as not, mm
 * @param mostly the depth that cleans it in 9 of 10 cases, mm
 */
public record CleanDepth(double likely, double mostly) {
    private static final long SEED = 20_261_130L;
    private static final int PLAIN = 300;
    private static final int FAULTY = 150;
    private static final double MIDDLE = 0.5;
    private static final double MOSTLY = 0.9;

    /**
     * @param read sealing places, mm
     * @param plane that is level with the cutter, in the frame of what was read
     * @param seals which places of the grid have to come clean
     */
    public static CleanDepth of(Sureness.Question question, Points read, Plane plane, boolean[] seals) {
        FaceGrid grid = question.grid();
        Plane level = LeastSquaresPlane.fit(read);
        SurfaceDraws draws = Surface.given(
                        question.prior(), grid.ground(), Sureness.above(read, level), question.noise(), question.gone())
                .over(grid.spots());
        double[] tilt = grid.spots().stream()
                .mapToDouble(s -> level.at(s.x(), s.y()) - plane.at(s.x(), s.y()))
                .toArray();
        SurfaceDraws.Faces faces = draws.draw(PLAIN, FAULTY, SEED);
        int with = faces.heights().length - faces.plain();
        double[] depths = new double[faces.heights().length];
        double[] weights = new double[depths.length];
        for (int f = 0; f < depths.length; f++) {
            depths[f] = depth(faces.heights()[f], tilt, seals);
            weights[f] = f < faces.plain() ? (1 - faces.faulty()) / faces.plain() : faces.faulty() / with;
        }
        Quantiles all = new Quantiles(depths, weights);
        return new CleanDepth(all.at(MIDDLE), all.at(MOSTLY));
    }

    private static double depth(double[] heights, double[] tilt, boolean[] seals) {
        double highest = Double.NEGATIVE_INFINITY;
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < heights.length; i++) {
            double above = heights[i] + tilt[i];
            highest = Math.max(highest, above);
            lowest = seals[i] ? Math.min(lowest, above) : lowest;
        }
        return Math.max(0, highest - lowest);
    }
}
