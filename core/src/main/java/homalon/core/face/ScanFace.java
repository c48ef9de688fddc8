package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.input.BadInputException;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A scanned face: the cloud laid over the layout, what is not land left out, and all that is left judged. Only the map is made
 * from fewer points.
 *
 * @param land every point that counts, in the layout's frame, mm
 * @param thinned means over small cells, for the map
 * @param judgement from every point of {@code land}
 * @param map through the thinned points
 * @param shape in words
 * @param notes what was done with the cloud, in sentences
 */
public record ScanFace(
        Points land,
        Points thinned,
        FaceJudge.Judgement judgement,
        Optional<FaceMap> map,
        Message shape,
        List<Message> notes) {

    /** Chamber floors, valves and dust stand further off the face than any warp. */
    private static final double OFF_FACE = 1;

    private static final int FINE = 400;
    private static final int ALONG = 24;
    private static final int FEWEST = 4;

    /**
     * @param limits in force
     * @param cover and uncertainty as for a survey of places, mm
     * @param byRule as for a survey of places
     */
    public record Settings(
            LandRaster land, List<FlatnessLimit> limits, double cover, double uncertainty, boolean byRule) {}

    /** @throws BadInputException when the cloud does not fit the layout, or hardly any of it lies on the land */
    public static ScanFace of(Points cloud, Settings settings) {
        Layout layout = settings.land().layout();
        List<Message> notes = new ArrayList<>();
        Points laid = lay(cloud, layout.box(), notes);
        Points onLand = onLand(laid, layout);
        if (onLand.size() < FEWEST || onLand.onOneLine()) {
            throw new BadInputException("file", "face.hardly-any-point-lies-on-the-land-of");
        }
        Points near = onFace(onLand);
        if (near.size() < FEWEST || near.onOneLine()) {
            throw new BadInputException("file", "face.the-heights-jump-by-more-than-a");
        }
        notes.add(Message.of(
                "face.of-points-lie-on-the-land-and-count-lie",
                near.size(),
                cloud.size(),
                cloud.size() - onLand.size(),
                onLand.size() - near.size()));
        FaceJudge.Judgement judgement = FaceJudge.judgeCloud(
                near,
                new FaceJudge.Settings(
                        layout, settings.limits(), settings.cover(), settings.uncertainty(), 0, settings.byRule()));
        Points thin = thin(near, layout.box());
        Optional<FaceMap> map =
                FaceMap.of(thin, judgement.flatness().minimumZone().middle(), settings.land());
        return new ScanFace(
                near, thin, judgement, map, FaceWords.shape(judgement.flatness(), near, layout), List.copyOf(notes));
    }

    /** Centres the cloud on the face, turned by a quarter when it lies across. */
    private static Points lay(Points cloud, Box face, List<Message> notes) {
        if (cloud.onOneLine()) {
            throw new BadInputException("file", "face.all-points-lie-on-one-line-scan-the");
        }
        Box b = cloud.bounds();
        boolean turned = fit(b.height(), b.width(), face) < fit(b.width(), b.height(), face);
        double[] x = new double[cloud.size()];
        double[] y = new double[cloud.size()];
        double cx = (b.x0() + b.x1()) / 2;
        double cy = (b.y0() + b.y1()) / 2;
        double fx = (face.x0() + face.x1()) / 2;
        double fy = (face.y0() + face.y1()) / 2;
        for (int i = 0; i < x.length; i++) {
            double px = cloud.x(i) - cx;
            double py = cloud.y(i) - cy;
            x[i] = fx + (turned ? py : px);
            y[i] = fy + (turned ? -px : py);
        }
        if (turned) {
            notes.add(Message.of("face.the-scan-lay-across-it-was-turned-by-a"));
        }
        double along = (turned ? b.height() : b.width()) / face.width();
        if (along < 0.8 || along > 1.08) {
            notes.add(Message.of("face.the-scan-is-as-long-as-the-face-check", Math.round(along * 100)));
        }
        return Points.of(x, y, cloud.zs());
    }

    private static double fit(double along, double across, Box face) {
        return Math.abs(Math.log(along / face.width())) + Math.abs(Math.log(across / face.height()));
    }

    private static Points onLand(Points laid, Layout layout) {
        LandRaster fine = LandRaster.of(layout, FINE);
        var grid = fine.grid();
        double dx = grid.x(1) - grid.x(0);
        double dy = grid.y(1) - grid.y(0);
        int[] kept = new int[laid.size()];
        int n = 0;
        for (int i = 0; i < kept.length; i++) {
            int column = (int) Math.floor((laid.x(i) - grid.x(0)) / dx);
            int row = (int) Math.floor((laid.y(i) - grid.y(0)) / dy);
            boolean inside = column >= 0 && row >= 0 && column + 1 < grid.columns() && row + 1 < grid.rows();
            if (inside
                    && fine.isLand(grid, column, row)
                    && fine.isLand(grid, column + 1, row)
                    && fine.isLand(grid, column, row + 1)
                    && fine.isLand(grid, column + 1, row + 1)) {
                kept[n++] = i;
            }
        }
        return laid.pick(Arrays.copyOf(kept, n));
    }

    /** Within a millimetre of the plane through the middles of small cells: one chamber floor does not move a middle. */
    private static Points onFace(Points points) {
        Plane plane = LeastSquaresPlane.fit(points);
        double reach = 20;
        // Twice: the first plane may hang into the chambers.
        for (int round = 0; round < 3; round++) {
            Points near = within(points, plane, reach);
            if (near.size() < FEWEST || near.onOneLine()) {
                return near;
            }
            plane = LeastSquaresPlane.fit(near);
            reach = Math.max(OFF_FACE, reach / 5);
        }
        return within(points, plane, OFF_FACE);
    }

    private static Points within(Points points, Plane plane, double reach) {
        int[] kept = new int[points.size()];
        int n = 0;
        for (int i = 0; i < kept.length; i++) {
            if (Math.abs(points.above(plane, i)) <= reach) {
                kept[n++] = i;
            }
        }
        return points.pick(Arrays.copyOf(kept, n));
    }

    /** Mean place and mean height of the points in each cell. */
    private static Points thin(Points points, Box box) {
        int down = (int) Math.max(3, Math.min(14, Math.round(ALONG * box.height() / box.width())));
        double[][] sum = new double[ALONG * down][4];
        for (int i = 0; i < points.size(); i++) {
            int column = (int) Math.min(ALONG - 1, Math.max(0, (points.x(i) - box.x0()) / box.width() * ALONG));
            int row = (int) Math.min(down - 1, Math.max(0, (points.y(i) - box.y0()) / box.height() * down));
            double[] cell = sum[row * ALONG + column];
            cell[0] += points.x(i);
            cell[1] += points.y(i);
            cell[2] += points.z(i);
            cell[3]++;
        }
        double[][] means = Arrays.stream(sum)
                .filter(c -> c[3] > 0)
                .map(c -> new double[] {c[0] / c[3], c[1] / c[3], c[2] / c[3]})
                .toArray(double[][]::new);
        return Points.of(means);
    }
}
