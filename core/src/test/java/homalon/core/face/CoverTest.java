package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.part.Land;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** The land furthest from a measured place, against a look at every spot of a fine grid. */
class CoverTest {
    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final double STEP = 1;

    private static Points points(double... xy) {
        double[][] rows = new double[xy.length / 2][];
        for (int i = 0; i < rows.length; i++) {
            rows[i] = new double[] {xy[2 * i], xy[2 * i + 1], 0};
        }
        return Points.of(rows);
    }

    private static double nearest(Points sites, double x, double y) {
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < sites.size(); i++) {
            least = Math.min(least, Math.hypot(sites.x(i) - x, sites.y(i) - y));
        }
        return least;
    }

    /** Of every spot of the grid and every spot along the outlines. */
    private static double looked(Points sites, Land land) {
        double most = 0;
        var box = land.shape().getEnvelopeInternal();
        for (double x = box.getMinX(); x <= box.getMaxX() + 1e-9; x += STEP) {
            for (double y = box.getMinY(); y <= box.getMaxY() + 1e-9; y += STEP) {
                if (land.holds(new Coordinate(x, y))) {
                    most = Math.max(most, nearest(sites, x, y));
                }
            }
        }
        return most;
    }

    private static void agrees(Points sites, Land land, String what) {
        Cover cover = Cover.of(sites, land);
        double looked = looked(sites, land);
        assertTrue(
                cover.distance() >= looked - 1e-9 && cover.distance() <= looked + STEP,
                () -> what + ": " + cover + " where the grid has " + looked);
        assertEquals(
                cover.distance(),
                nearest(sites, cover.furthest().x(), cover.furthest().y()),
                1e-9,
                what);
        // On the land, or on its outline within a rounding.
        assertTrue(
                land.shape()
                                .distance(SHAPES.createPoint(new Coordinate(
                                        cover.furthest().x(), cover.furthest().y())))
                        < 1e-6,
                what);
    }

    /** Two places below: the furthest land is where the line between them leaves the outline, far from any corner of it. */
    @ParameterizedTest
    @CsvSource({
        "0, 0, 100, 0, 50, 60",
        "0, 60, 100, 60, 50, 0",
        "0, 0, 0, 60, 100, 30",
        "100, 0, 100, 60, 0, 30",
        "20, 10, 80, 10, 50, 60"
    })
    void betweenTwoPlacesOnTheOutline(double x1, double y1, double x2, double y2, double x, double y) {
        Cover cover = Cover.of(points(x1, y1, x2, y2), Cover.landOf(new Box(0, 0, 100, 60)));
        assertEquals(Math.hypot(x - x1, y - y1), cover.distance(), 1e-9);
        assertEquals(x, cover.furthest().x(), 1e-9);
        assertEquals(y, cover.furthest().y(), 1e-9);
    }

    @Test
    void onePlaceIsFurthestFromTheCornerAcross() {
        Cover cover = Cover.of(points(10, 10), Cover.landOf(new Box(0, 0, 100, 60)));
        assertEquals(Math.hypot(90, 50), cover.distance(), 1e-9);
        assertEquals(100, cover.furthest().x());
    }

    @Test
    void anyFewPlacesOnARectangle() {
        Random random = new Random(7);
        Land land = Cover.landOf(new Box(0, 0, 120, 50));
        for (int n = 0; n < 60; n++) {
            double[] xy = new double[2 * (1 + random.nextInt(7))];
            for (int i = 0; i < xy.length; i++) {
                xy[i] = random.nextDouble() * (i % 2 == 0 ? 120 : 50);
            }
            agrees(points(xy), land, "seed " + n);
        }
    }

    /** With bores in it, and an outline that has a step: neither the middle of a bore nor the missing corner is land. */
    @Test
    void anyFewPlacesOnALandWithHoles() {
        Geometry plate = SHAPES.createPolygon(new Coordinate[] {
            new Coordinate(0, 0),
            new Coordinate(120, 0),
            new Coordinate(120, 30),
            new Coordinate(90, 30),
            new Coordinate(90, 50),
            new Coordinate(0, 50),
            new Coordinate(0, 0)
        });
        Geometry bores = SHAPES.createPoint(new Coordinate(30, 25))
                .buffer(16)
                .union(SHAPES.createPoint(new Coordinate(68, 25)).buffer(16));
        Land land = Land.of(plate.difference(bores));
        Random random = new Random(11);
        for (int n = 0; n < 60; n++) {
            double[] xy = new double[2 * (1 + random.nextInt(9))];
            for (int i = 0; i < xy.length; i++) {
                xy[i] = random.nextDouble() * (i % 2 == 0 ? 120 : 50);
            }
            agrees(points(xy), land, "seed " + n);
        }
    }
}
