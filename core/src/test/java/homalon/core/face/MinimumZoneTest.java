package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.sim.SeededFace;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.hipparchus.optim.linear.LinearConstraint;
import org.hipparchus.optim.linear.LinearConstraintSet;
import org.hipparchus.optim.linear.LinearObjectiveFunction;
import org.hipparchus.optim.linear.NonNegativeConstraint;
import org.hipparchus.optim.linear.Relationship;
import org.hipparchus.optim.linear.SimplexSolver;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

class MinimumZoneTest {
    private static final Box HEAD = new Box(0, 0, 420, 150);
    private static final GeometryFactory SHAPES = new GeometryFactory();

    /** One case in four is a regular grid with readings on whole hundredths: full of ties and points in line. */
    private static Points face(int seed) {
        Random random = new Random(seed);
        SeededFace shape = new SeededFace(
                HEAD,
                random.nextDouble(),
                random.nextDouble() - 0.5,
                0.2 * random.nextDouble() - 0.1,
                0.1 * random.nextDouble() - 0.05,
                0.2 * random.nextDouble() - 0.1,
                List.of(new SeededFace.Dip(new Spot(200, 70), 0.05 * random.nextDouble(), 40)));
        List<Spot> places = new ArrayList<>();
        boolean grid = seed % 4 == 0;
        int n = 4 + random.nextInt(57);
        for (int i = 0; i < n; i++) {
            places.add(
                    grid
                            ? new Spot(40 * (i % 10), 30 * (i / 10))
                            : new Spot(420 * random.nextDouble(), 150 * random.nextDouble()));
        }
        if (grid && n < 11) {
            places.add(new Spot(0, 30));
        }
        Points read = shape.read(places, 0.005, seed);
        double[] z = read.zs();
        if (grid) {
            IntStream.range(0, z.length).forEach(i -> z[i] = Math.rint(z[i] * 100) / 100);
        }
        return read;
    }

    @Test
    void agreesWithAGeneralLinearProgrammeAndProvesItself() {
        for (int seed = 1; seed <= 300; seed++) {
            Points points = face(seed);
            MinimumZone.Result zone = MinimumZone.of(points);
            assertEquals(simplex(points) * zone.middle().cosTilt(), zone.zone(), 1e-9, "seed " + seed);
            assertProof(points, zone, seed);
            assertTrue(Flatness.of(points, FlatnessSettings.over(HEAD)).leastSquares() >= zone.zone());
        }
    }

    /**
     * All points lie between the planes, the support touches them, and what touches above overlaps what touches below in
     * plan: then no tilt brings the planes closer.
     */
    private static void assertProof(Points points, MinimumZone.Result zone, int seed) {
        double half = zone.zone() / zone.middle().cosTilt() / 2;
        for (int i = 0; i < points.size(); i++) {
            assertTrue(Math.abs(points.above(zone.middle(), i)) <= half + 1e-12, "seed " + seed);
        }
        List<Coordinate> above = new ArrayList<>();
        List<Coordinate> below = new ArrayList<>();
        for (int k = 0; k < zone.support().length; k++) {
            int i = zone.support()[k];
            double r = points.above(zone.middle(), i);
            assertEquals(zone.above()[k] ? half : -half, r, 1e-12, "seed " + seed);
            (zone.above()[k] ? above : below).add(new Coordinate(points.x(i), points.y(i)));
        }
        if (zone.zone() > 1e-9) {
            assertTrue(hull(above).distance(hull(below)) < 1e-9, "seed " + seed);
        }
    }

    private static Geometry hull(List<Coordinate> corners) {
        return SHAPES.createMultiPointFromCoords(corners.toArray(Coordinate[]::new))
                .convexHull();
    }

    /** min t with |z - a x - b y - c| &lt;= t, by a general solver: twice t is the distance along z. */
    private static double simplex(Points points) {
        List<LinearConstraint> rows = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            double u = points.x(i) / 100 - 2;
            double v = points.y(i) / 100 - 1;
            rows.add(new LinearConstraint(new double[] {u, v, 1, 1}, Relationship.GEQ, points.z(i)));
            rows.add(new LinearConstraint(new double[] {u, v, 1, -1}, Relationship.LEQ, points.z(i)));
        }
        double[] solution = new SimplexSolver(1e-11, 10, 1e-13)
                .optimize(
                        new LinearObjectiveFunction(new double[] {0, 0, 0, 1}, 0),
                        new LinearConstraintSet(rows),
                        GoalType.MINIMIZE,
                        new NonNegativeConstraint(false))
                .getPoint();
        return 2 * solution[3];
    }

    @Test
    void isUnchangedByMovingTiltingScalingAndOrder() {
        for (int seed = 1; seed <= 100; seed++) {
            Points points = face(seed);
            double zone = MinimumZone.of(points).zone();
            double[][] moved = new double[points.size()][];
            double[][] turned = new double[points.size()][];
            double[][] inches = new double[points.size()][];
            double angle = 0.6;
            for (int i = 0; i < moved.length; i++) {
                double x = points.x(i);
                double y = points.y(i);
                double z = points.z(i);
                moved[i] = new double[] {x + 250_000, y - 90_000, z + 4_000};
                turned[moved.length - 1 - i] = new double[] {
                    x * Math.cos(angle) - z * Math.sin(angle), y, x * Math.sin(angle) + z * Math.cos(angle)
                };
                inches[i] = new double[] {x / 25.4, y / 25.4, z / 25.4};
            }
            assertEquals(zone, MinimumZone.of(Points.of(moved)).zone(), 1e-9, "moved, seed " + seed);
            assertEquals(zone, MinimumZone.of(Points.of(turned)).zone(), 1e-9, "turned, seed " + seed);
            assertEquals(zone / 25.4, MinimumZone.of(Points.of(inches)).zone(), 1e-11, "inches, seed " + seed);
        }
    }

    @Test
    void smallCasesByHand() {
        // Four corners, one lifted by 0.08: two diagonals against each other, half the lift at the crossing.
        Points twisted = Points.of(new double[][] {{0, 0, 0}, {400, 0, 0}, {0, 150, 0}, {400, 150, 0.08}});
        MinimumZone.Result zone = MinimumZone.of(twisted);
        assertEquals(0.04, zone.zone(), 1e-8);
        assertArrayEquals(new int[] {0, 1, 2, 3}, zone.support());
        assertArrayEquals(new boolean[] {true, false, false, true}, zone.above());
        // On one line: straightness of the line. On a plane: nothing holds it apart.
        assertEquals(
                0.03,
                MinimumZone.of(Points.of(new double[][] {{0, 0, 0}, {1, 1, 0.03}, {2, 2, 0}, {3, 3, -0.03}}))
                        .zone(),
                0.0102);
        assertEquals(
                0,
                MinimumZone.of(Points.of(new double[][] {{0, 0, 1}, {9, 0, 2}, {0, 9, 3}, {9, 9, 4}}))
                        .zone(),
                1e-15);
    }

    /** Of many points only some are solved at first: what those do not show has to be found all the same. */
    @ParameterizedTest
    @CsvSource({"ONE_HIGH", "ONE_LOW", "ON_ONE_LINE_BUT_FOR_A_FEW", "ON_ONE_PLANE", "FAR_FROM_NOUGHT", "ALL_ON_ONE_LINE"
    })
    void ofManyPointsWhatHardlyAnyShowCounts(String how) {
        int n = 30_001;
        Random random = new Random(how.hashCode());
        double[] x = random.doubles(n, 0, 420).toArray();
        double[] y = random.doubles(n, 0, 150).toArray();
        double[] z = new double[n];
        for (int i = 0; i < n; i++) {
            boolean few = i % 7_001 == 13;
            x[i] += how.equals("FAR_FROM_NOUGHT") ? 90_000 : 0;
            y[i] = how.equals("ALL_ON_ONE_LINE") || (how.startsWith("ON_ONE_LINE") && !few) ? x[i] / 3 : y[i];
            z[i] = 0.001 * x[i] - 0.002 * y[i] + (how.equals("ON_ONE_PLANE") ? 0 : 0.02 * random.nextDouble());
        }
        z[17_003] += how.equals("ONE_HIGH") ? 0.3 : how.equals("ONE_LOW") ? -0.3 : 0;
        Points points = Points.of(x, y, z);
        MinimumZone.Result zone = MinimumZone.of(points);
        if (how.equals("ON_ONE_PLANE")) {
            assertEquals(0, zone.zone(), 1e-12);
            return;
        }
        double above = points.range(zone.middle()).extent() * zone.middle().cosTilt();
        assertEquals(above, zone.zone(), 1e-9);
        assertEquals(MinimumZone.of(points.pick(zone.support())).zone(), zone.zone(), 1e-9);
        assertEquals(how.startsWith("ONE_"), Arrays.stream(zone.support()).anyMatch(i -> i == 17_003));
    }

    @Test
    void aMillionPointsStayExact() {
        int n = 1_000_000;
        Random random = new Random(7);
        double[] x = random.doubles(n, 0, 420).toArray();
        double[] y = random.doubles(n, 0, 150).toArray();
        double[] z = IntStream.range(0, n)
                .mapToDouble(i -> 0.001 * x[i] + 0.05 * Math.pow(HEAD.u(x[i]), 2) + 0.01 * random.nextDouble())
                .toArray();
        Points points = Points.of(x, y, z);
        MinimumZone.Result zone = MinimumZone.of(points);
        assertProof(points, zone, 7);
        Plane found = zone.middle();
        assertEquals(0.001, found.a(), 1e-5);
    }
}
