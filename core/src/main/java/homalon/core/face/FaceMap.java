package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.numeric.ThinPlateSpline;
import homalon.core.part.LandRaster;
import java.util.Optional;
import java.util.function.IntFunction;

/**
 * A surface through the measured points of a face: a thin-plate spline, exact at the points, held to at most a tenth of
 * their range beyond them, so that a map never shows a height that nobody came near to measuring.
 */
public final class FaceMap {
    private static final double OVERSHOOT = 0.1;

    private final LandRaster land;
    private final Plane level;
    private final Range range;
    private final Raster heights;
    private final ThinPlateSpline spline;

    private FaceMap(LandRaster land, Plane level, Range range, ThinPlateSpline spline, IntFunction<double[]> reach) {
        this.land = land;
        this.level = level;
        this.range = range;
        this.spline = spline;
        this.heights = land.grid();
        double[] all = spline.over(heights, reach);
        double most = OVERSHOOT * range.extent();
        int k = 0;
        for (int j = 0; j < heights.rows(); j++) {
            for (int i = 0; i < heights.columns(); i++) {
                heights.set(i, j, held(all[k++], range.least() - most, range.most() + most));
            }
        }
    }

    /**
     * @param level heights are drawn above this plane
     * @return empty with fewer than four points or with all on one line: there is nothing honest to draw
     */
    public static Optional<FaceMap> of(Points points, Plane level, LandRaster land) {
        return of(points, level, land, new Kept() {
            @Override
            public Ground ground(Points places) {
                return FaceMap.ground(land, places);
            }

            @Override
            public double[] reach(Spot place) {
                return FaceMap.reach(land, place);
            }
        });
    }

    /** What of a map depends on the places alone, the dear parts of it: a caller may keep them for one land. */
    public interface Kept {
        /** What {@link FaceMap#ground} answers. */
        Ground ground(Points places);

        /** What {@link FaceMap#reach} answers. */
        double[] reach(Spot place);
    }

    /** The equations of a surface through certain places, whatever is read there. */
    public static final class Ground {
        private final ThinPlateSpline.Knots knots;

        private Ground(ThinPlateSpline.Knots knots) {
            this.knots = knots;
        }
    }

    public static Ground ground(LandRaster land, Points places) {
        return new Ground(ThinPlateSpline.Knots.of(places, frame(land)));
    }

    /** How far a place reaches over the grid of a land, whatever is read there. */
    public static double[] reach(LandRaster land, Spot place) {
        return frame(land).reach(land.grid(), place);
    }

    private static ThinPlateSpline.Frame frame(LandRaster land) {
        return ThinPlateSpline.Frame.of(land.layout().box());
    }

    /** The same map. */
    public static Optional<FaceMap> of(Points points, Plane level, LandRaster land, Kept kept) {
        if (points.size() < 4 || points.onOneLine()) {
            return Optional.empty();
        }
        double[] z = new double[points.size()];
        for (int i = 0; i < z.length; i++) {
            z[i] = points.above(level, i);
        }
        Points flat = Points.of(points.xs(), points.ys(), z);
        ThinPlateSpline spline = kept.ground(points).knots.through(z);
        return Optional.of(new FaceMap(land, level, flat.range(Plane.LEVEL), spline, i -> kept.reach(points.spot(i))));
    }

    public LandRaster land() {
        return land;
    }

    /** The plane that heights are drawn above. */
    public Plane level() {
        return level;
    }

    /** Lowest and highest measured point above the level plane, mm. */
    public Range range() {
        return range;
    }

    /** Heights above the level plane over the grid of the land raster, openings included. */
    public Raster heights() {
        return heights;
    }

    /** Height of the surface above the level plane at a place, mm. */
    public double above(double x, double y) {
        double most = OVERSHOOT * range.extent();
        return held(spline.at(x, y), range.least() - most, range.most() + most);
    }

    private static double held(double height, double least, double most) {
        return height < least ? least : height > most ? most : height;
    }

    /** Height of the surface above any plane at a place, mm. */
    public double above(Plane plane, double x, double y) {
        return above(x, y) + level.at(x, y) - plane.at(x, y);
    }

    /** The same as drawn: read off the grid between its nodes, which takes far less time than the surface itself. */
    public double drawn(Plane plane, double x, double y) {
        return heights.between(x, y) + level.at(x, y) - plane.at(x, y);
    }

    /** Heights of the grid above another plane. */
    public Raster heightsAbove(Plane plane) {
        Raster above = land.grid();
        for (int j = 0; j < above.rows(); j++) {
            for (int i = 0; i < above.columns(); i++) {
                double x = above.x(i);
                double y = above.y(j);
                above.set(i, j, heights.get(i, j) + level.at(x, y) - plane.at(x, y));
            }
        }
        return above;
    }

    /**
     * Share of the land at or above a height over a plane: what a cutter has touched when it has come down to it.
     *
     * @param above heights over that plane, as made by {@link #heightsAbove}
     * @return 0 to 1
     */
    public double share(Raster above, double height) {
        int touched = 0;
        for (int j = 0; j < above.rows(); j++) {
            for (int i = 0; i < above.columns(); i++) {
                touched += land.isLand(above, i, j) && above.get(i, j) >= height ? 1 : 0;
            }
        }
        return (double) touched / land.landNodes();
    }
}
