package homalon.core.sure;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.surface.Surface;
import homalon.core.surface.SurfaceDraws;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

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

    private record Drawn(double depth, double weight) {}

    /**
     * @param read sealing places, mm
     * @param plane that is level with the cutter, in the frame of what was read
     * @param seals which places of the grid have to come clean
     */
    public static CleanDepth of(Sureness.Question question, Points read, Plane plane, boolean[] seals) {
        FaceGrid grid = question.grid();
        Plane level = LeastSquaresPlane.fit(read);
        double[] z = new double[read.size()];
        for (int i = 0; i < z.length; i++) {
            z[i] = read.above(level, i);
        }
        SurfaceDraws draws = Surface.given(
                        question.prior(),
                        grid.ground(),
                        Points.of(read.xs(), read.ys(), z),
                        question.noise(),
                        question.gone())
                .over(grid.spots());
        double[] tilt = grid.spots().stream()
                .mapToDouble(s -> level.at(s.x(), s.y()) - plane.at(s.x(), s.y()))
                .toArray();
        SurfaceDraws.Faces faces = draws.draw(PLAIN, FAULTY, SEED);
        List<Drawn> all = new ArrayList<>();
        int with = faces.heights().length - faces.plain();
        for (int f = 0; f < faces.heights().length; f++) {
            double weight = f < faces.plain() ? (1 - faces.faulty()) / faces.plain() : faces.faulty() / with;
            all.add(new Drawn(depth(faces.heights()[f], tilt, seals), weight));
        }
        all.sort(Comparator.comparingDouble(Drawn::depth));
        return new CleanDepth(quantile(all, MIDDLE), quantile(all, MOSTLY));
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

    private static double quantile(List<Drawn> sorted, double share) {
        double passed = 0;
        for (Drawn d : sorted) {
            passed += d.weight();
            if (passed >= share) {
                return d.depth();
            }
        }
        return sorted.get(sorted.size() - 1).depth();
    }
}
