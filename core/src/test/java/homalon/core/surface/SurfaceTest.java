package homalon.core.surface;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against the textbook's formulas, worked out with another library and by quadrature. */
class SurfaceTest {
    private static final double NOISE = 0.002;
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final Points NONE = Points.of(new double[0], new double[0], new double[0]);
    private static final SurfacePrior EVEN = SurfacePrior.usual(0.02).withRates(Map.of());

    private static Points some(int count, long seed) {
        Random random = new Random(seed);
        double[] x = new double[count];
        double[] y = new double[count];
        double[] z = new double[count];
        for (int i = 0; i < count; i++) {
            x[i] = HEAD.box().width() * random.nextDouble();
            y[i] = HEAD.box().height() * random.nextDouble();
            z[i] = 0.02 * random.nextGaussian();
        }
        return Points.of(x, y, z);
    }

    private static Conditioned conditioned(SurfacePrior level, Points read, Noise noise, List<FaultShape> ways) {
        LocalPart part = new LocalPart(level.local(), new ReadPlaces(HEAD.box(), read, level.length()), noise);
        return new Conditioned(new Factored(level, part, noise), new LocalFaults(part, FaultsRead.of(ways, read)));
    }

    private static ConditionedDraws draws(Conditioned surface, List<Spot> places) {
        LocalPart part = surface.readings().part();
        PlacesAsked asked = PlacesAsked.of(part.read(), places, new Correlations(places, EVEN.length()));
        return new ConditionedDraws(surface, new LocalDraws(part, asked));
    }

    private static double[] terms(double x, double y) {
        double u = HEAD.box().u(x);
        double v = HEAD.box().v(y);
        return new double[] {1, u, v, u * u, v * v, u * v, u * u * v, u * v * v};
    }

    private static double covariance(SurfacePrior prior, Spot a, Spot b) {
        double[] variances = {
            1,
            1,
            1,
            square(prior.bends().longBow()),
            square(prior.bends().crossBow()),
            square(prior.bends().twist()),
            square(prior.bends().edgesApart()),
            square(prior.bends().endsApart())
        };
        double[] ta = terms(a.x(), a.y());
        double[] tb = terms(b.x(), b.y());
        double r = Math.sqrt(5) * a.distance(b) / prior.length();
        double sum = square(prior.local()) * (1 + r + r * r / 3) * Math.exp(-r);
        for (int k = 0; k < ta.length; k++) {
            sum += variances[k] * ta[k] * tb[k];
        }
        return sum;
    }

    private static double square(double a) {
        return a * a;
    }

    /** K of the readings, K between place and readings, as the textbook writes them. */
    private record Textbook(SurfacePrior prior, Points read) {
        RealMatrix k() {
            int n = read.size();
            RealMatrix k = MatrixUtils.createRealMatrix(n, n);
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    k.setEntry(i, j, covariance(prior, read.spot(i), read.spot(j)) + (i == j ? NOISE * NOISE : 0));
                }
            }
            return k;
        }

        RealVector to(Spot spot) {
            double[] c = new double[read.size()];
            for (int i = 0; i < c.length; i++) {
                c[i] = covariance(prior, spot, read.spot(i));
            }
            return MatrixUtils.createRealVector(c);
        }

        CholeskyDecomposition factor() {
            return new CholeskyDecomposition(k(), 1e-9, 1e-16);
        }

        double logDensity(RealVector z) {
            CholeskyDecomposition f = factor();
            return -0.5 * z.dotProduct(f.getSolver().solve(z))
                    - 0.5 * Math.log(f.getDeterminant())
                    - z.getDimension() / 2.0 * Math.log(2 * Math.PI);
        }
    }

    @Test
    void meanSpreadAndCovarianceAreTheTextbooks() {
        Points read = some(12, 5);
        Conditioned one = conditioned(EVEN, read, Noise.of(NOISE), List.of());
        List<Spot> places = List.of(new Spot(10, 10), new Spot(200, 75), read.spot(3), new Spot(380, 140));
        ConditionedDraws draws = draws(one, places);
        Textbook book = new Textbook(EVEN, read);
        RealVector z = MatrixUtils.createRealVector(read.zs());
        for (int a = 0; a < places.size(); a++) {
            RealVector ka = book.factor().getSolver().solve(book.to(places.get(a)));
            assertEquals(ka.dotProduct(z), draws.mean(a), 1e-9);
            for (int b = 0; b < places.size(); b++) {
                double left = covariance(EVEN, places.get(a), places.get(b)) - ka.dotProduct(book.to(places.get(b)));
                assertEquals(left, draws.covariance(a, b), 1e-7, a + " and " + b);
            }
            assertEquals(Math.sqrt(draws.covariance(a, a)), draws.spread(a), 2.5e-4);
        }
        assertEquals(book.logDensity(z), one.logEvidence(), 1e-6);
    }

    /** What all readings share and the face has not is subtracted from neither: against the textbook with it among the noise. */
    @Test
    void aBendThatAllReadingsShareStaysOpen() {
        Points read = some(14, 8);
        double shared = 3e-7;
        Textbook book = new Textbook(EVEN, read);
        RealMatrix k = book.k();
        double cx = HEAD.box().width() / 2;
        double cy = HEAD.box().height() / 2;
        double[] bent = new double[read.size()];
        for (int i = 0; i < bent.length; i++) {
            bent[i] = (square(read.x(i) - cx) + square(read.y(i) - cy)) / 2;
        }
        for (int i = 0; i < bent.length; i++) {
            for (int j = 0; j < bent.length; j++) {
                k.addToEntry(i, j, square(shared) * bent[i] * bent[j]);
            }
        }
        CholeskyDecomposition factor = new CholeskyDecomposition(k);
        List<Spot> places = List.of(new Spot(5, 75), new Spot(200, 75), new Spot(395, 75));
        Conditioned one = conditioned(EVEN, read, new Noise(NOISE, shared), List.of());
        ConditionedDraws draws = draws(one, places);
        RealVector z = MatrixUtils.createRealVector(read.zs());
        for (int a = 0; a < places.size(); a++) {
            RealVector ka = factor.getSolver().solve(book.to(places.get(a)));
            assertEquals(ka.dotProduct(z), draws.mean(a), 1e-9);
            assertEquals(
                    covariance(EVEN, places.get(a), places.get(a)) - ka.dotProduct(book.to(places.get(a))),
                    draws.covariance(a, a),
                    1e-7);
        }
        double without = bowOf(Surface.given(EVEN, Ground.of(HEAD), read, NOISE, List.of()));
        double with = bowOf(Surface.given(EVEN, Ground.of(HEAD), read, new Noise(NOISE, shared), List.of()));
        double open = shared * square(HEAD.box().width()) / 8;
        assertEquals(Math.hypot(without, open), with, 0.05 * with, "the bow is open by about as much more");
        assertThrows(IllegalArgumentException.class, () -> new Noise(NOISE, -1e-9));
        assertThrows(IllegalArgumentException.class, () -> Noise.of(NOISE).with(new Noise.Rough(1, 0)));
    }

    /** The last three are surmised, and may be ten times as far off: against the textbook with so much in their place. */
    @Test
    void whatIsSurmisedTellsLessThanWhatIsRead() {
        Points read = some(12, 9);
        RealMatrix k = new Textbook(EVEN, read).k();
        for (int i = 9; i < 12; i++) {
            k.addToEntry(i, i, square(10 * NOISE) - square(NOISE));
        }
        CholeskyDecomposition factor = new CholeskyDecomposition(k);
        Noise noise = Noise.of(NOISE).with(new Noise.Rough(3, 10 * NOISE));
        ConditionedDraws draws = draws(
                conditioned(EVEN, read, noise, List.of()), List.of(read.spot(1), read.spot(11), new Spot(200, 75)));
        Textbook book = new Textbook(EVEN, read);
        RealVector z = MatrixUtils.createRealVector(read.zs());
        List<Spot> places = List.of(read.spot(1), read.spot(11), new Spot(200, 75));
        for (int a = 0; a < places.size(); a++) {
            assertEquals(factor.getSolver().solve(book.to(places.get(a))).dotProduct(z), draws.mean(a), 1e-9);
        }
        assertTrue(draws.spread(1) > 1.5 * draws.spread(0), draws.spread(1) + " beside " + draws.spread(0));
    }

    /** Spread of how far the middle lies under both ends. */
    private static double bowOf(Surface surface) {
        SurfaceDraws draws = surface.over(List.of(new Spot(0, 75), new Spot(202, 75), new Spot(404, 75)));
        double[][] faces = draws.draw(800, 0, 5).heights();
        double sum = 0;
        double squares = 0;
        for (double[] f : faces) {
            double bow = f[1] - (f[0] + f[2]) / 2;
            sum += bow;
            squares += bow * bow;
        }
        return Math.sqrt(squares / faces.length - square(sum / faces.length));
    }

    /** The one that has a reading is known to that reading's uncertainty; far from all, nothing more than the prior is known. */
    @Test
    void aReadingTellsOfItsSurroundingsAlone() {
        Points read = some(14, 6);
        SurfaceDraws draws = Surface.given(EVEN, Ground.of(HEAD), read, NOISE, List.of())
                .over(List.of(read.spot(2), new Spot(read.x(2) + 2, read.y(2)), new Spot(read.x(2) + 30, read.y(2))));
        assertTrue(draws.spread(0) <= NOISE);
        assertTrue(draws.spread(1) < draws.spread(2));
    }

    @ParameterizedTest
    @CsvSource({"0, 0.1", "1, 0.1", "2, 0.4", "3, 0.02"})
    void theEvidenceOfAFaultIsItsIntegralOverEveryAmplitude(int seed, double rate) {
        Points read = some(9, 40 + seed);
        Spot at = new Spot(read.x(1) + 8, read.y(1) - 5);
        FaultShape dip = new FaultShape(Fault.DIP, rate, 0.06, FaultShape.dip(at, 24), at);
        FaultShape wave = new FaultShape(Fault.STEP, rate / 2, 0.02, (x, y) -> x > at.x() ? 0.5 : -0.5, at);
        Conditioned one = conditioned(EVEN, read, Noise.of(NOISE), List.of(dip, wave));
        Textbook book = new Textbook(EVEN, read);
        double none = Math.exp(book.logDensity(MatrixUtils.createRealVector(read.zs())));
        double dips = integral(book, read, dip, true);
        double steps = integral(book, read, wave, false);
        double all = (1 - 1.5 * rate) * none + rate * dips + rate / 2 * steps;
        assertEquals(Math.log(all), one.logEvidence(), 1e-4);
        assertEquals(rate * dips / all, one.chanceOf(Fault.DIP), 1e-4);
        assertEquals(rate / 2 * steps / all, one.chanceOf(Fault.STEP), 1e-4);
        assertEquals((1 - 1.5 * rate) * none / all, one.weight(0), 1e-4);
    }

    private static double integral(Textbook book, Points read, FaultShape fault, boolean oneWay) {
        int steps = 4000;
        double reach = 8 * fault.size();
        double from = oneWay ? 0 : -reach;
        double width = (reach - from) / steps;
        double sum = 0;
        CholeskyDecomposition f = book.factor();
        RealVector b = MatrixUtils.createRealVector(new double[read.size()]);
        for (int i = 0; i < read.size(); i++) {
            b.setEntry(i, fault.shape().at(read.x(i), read.y(i)));
        }
        RealVector z = MatrixUtils.createRealVector(read.zs());
        double constant = -0.5 * Math.log(f.getDeterminant()) - read.size() / 2.0 * Math.log(2 * Math.PI);
        for (int k = 0; k < steps; k++) {
            double a = from + (k + 0.5) * width;
            RealVector left = z.subtract(b.mapMultiply(a));
            double prior = Math.exp(-0.5 * square(a / fault.size())) / (fault.size() * Math.sqrt(2 * Math.PI));
            sum += width
                    * (oneWay ? 2 : 1)
                    * prior
                    * Math.exp(constant - 0.5 * left.dotProduct(f.getSolver().solve(left)));
        }
        return sum;
    }

    /** What lies far from every reading stays as it was expected, and what lies near is told from it by its own place in the list. */
    @Test
    void aFaultThatNoReadingComesNearStaysAsExpected() {
        Points read = Points.of(
                new double[] {20, 40, 60, 80}, new double[] {20, 60, 20, 60}, new double[] {0.01, -0.02, 0.015, 0.0});
        Spot off = new Spot(390, 140);
        Spot by = new Spot(42, 58);
        FaultShape far = new FaultShape(Fault.DIP, 0.1, 0.06, FaultShape.dip(off, 24), off);
        FaultShape near = new FaultShape(Fault.DIP, 0.1, 0.05, FaultShape.dip(by, 24), by);
        Conditioned both = conditioned(EVEN, read, Noise.of(NOISE), List.of(far, near));
        Conditioned alone = conditioned(EVEN, read, Noise.of(NOISE), List.of(near));
        assertEquals(0, both.amplitudeMean(0));
        assertEquals(0.0036, both.amplitudeVariance(0), 1e-15);
        assertEquals(0, both.whitenedFault(0).length);
        assertEquals(alone.amplitudeMean(0), both.amplitudeMean(1), 1e-15);
        assertEquals(alone.amplitudeVariance(0), both.amplitudeVariance(1), 1e-15);
        assertArrayEquals(alone.whitenedFault(0), both.whitenedFault(1), 1e-12);
        assertEquals(0.8 / 0.1, both.weight(0) / both.weight(1), 1e-9, "a reading that tells nothing leaves the odds");
    }

    @Test
    void drawnFacesHaveTheMeanAndTheCovarianceThatAreLeft() {
        Points read = some(10, 8);
        List<Spot> places = List.of(new Spot(60, 20), new Spot(75, 30), new Spot(300, 120));
        Conditioned one = conditioned(EVEN, read, Noise.of(NOISE), List.of());
        ConditionedDraws draws = draws(one, places);
        Random random = new Random(3);
        int count = 40_000;
        double[] mean = new double[3];
        double[][] square = new double[3][3];
        for (int d = 0; d < count; d++) {
            double[] z = draws.plain(random);
            for (int a = 0; a < 3; a++) {
                mean[a] += (z[a] - draws.mean(a)) / count;
                for (int b = 0; b < 3; b++) {
                    square[a][b] += (z[a] - draws.mean(a)) * (z[b] - draws.mean(b)) / count;
                }
            }
        }
        for (int a = 0; a < 3; a++) {
            assertEquals(0, mean[a], 4 * draws.spread(a) / Math.sqrt(count));
            for (int b = 0; b < 3; b++) {
                double unit = draws.spread(a) * draws.spread(b);
                assertEquals(draws.covariance(a, b) / unit, square[a][b] / unit, 0.03);
            }
        }
    }

    /** A dip that nobody told of is hardly thought of until a reading falls into it. */
    @Test
    void whatWasToldAtTheDoorIsLookedFor() {
        Spot bridge = new Spot(HEAD.box().width() / 2, HEAD.box().height() / 2);
        SurfacePrior prior = SurfacePrior.usual(0.02);
        double untold =
                Surface.given(prior, Ground.of(HEAD), NONE, NOISE, List.of()).chanceOf(Fault.GASKET);
        double told = Surface.given(prior, Ground.of(HEAD), NONE, NOISE, List.of(bridge))
                .chanceOf(Fault.GASKET);
        assertEquals(0, untold);
        assertEquals(0.5, told, 1e-9);
        double[] x = {10, 390, 10, 390, 100, 200, 300, 100, 200, 300, 10, 390, bridge.x()};
        double[] y = {10, 10, 140, 140, 10, 10, 10, 140, 140, 140, 75, 75, bridge.y()};
        double[] z = {0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, -0.08};
        Points deep = Points.of(x, y, z);
        assertTrue(Surface.given(prior, Ground.of(HEAD), deep, NOISE, List.of(bridge))
                        .chanceOf(Fault.GASKET)
                > 0.9);
        z[12] = 0;
        Points flat = Points.of(x, y, z);
        assertTrue(Surface.given(prior, Ground.of(HEAD), flat, NOISE, List.of(bridge))
                        .chanceOf(Fault.GASKET)
                < 0.2);
    }

    @Test
    void aHollowIsDrawnDownAndPulledMetalUp() {
        Spot bridge = new Spot(HEAD.box().width() / 2, HEAD.box().height() / 2);
        FaultShape dip = new FaultShape(Fault.DIP, 0.5, 0.06, FaultShape.dip(bridge, 24), bridge);
        SurfacePrior still = EVEN.withLocal(70, 1e-6, 0);
        Points flat = Points.of(
                new double[] {10, 390, 10, 390, 100, 300, 100, 300},
                new double[] {10, 10, 140, 140, 30, 30, 120, 120},
                new double[8]);
        ConditionedDraws draws =
                draws(conditioned(still, flat, Noise.of(1e-5), List.of(dip)), List.of(bridge, new Spot(20, 75)));
        Random random = new Random(1);
        for (int d = 0; d < 200; d++) {
            double[] z = draws.plain(random);
            double before = z[0];
            draws.add(z, 0, random);
            assertTrue(z[0] <= before + 1e-12, "down");
        }
    }

    @Test
    void theSameSeedDrawsTheSameFaces() {
        SurfaceDraws draws = Surface.given(SurfacePrior.usual(0.02), Ground.of(HEAD), some(9, 2), NOISE, List.of())
                .over(List.of(new Spot(30, 30), new Spot(210, 90)));
        SurfaceDraws.Faces a = draws.draw(20, 10, 7);
        SurfaceDraws.Faces b = draws.draw(20, 10, 7);
        assertEquals(20, a.plain());
        assertEquals(30, a.heights().length);
        for (int d = 0; d < 30; d++) {
            assertEquals(a.heights()[d][1], b.heights()[d][1]);
        }
        assertTrue(a.heights()[0][1] != draws.draw(20, 10, 8).heights()[0][1]);
    }

    @Test
    void anUnevenFaceIsTakenForOne() {
        SurfacePrior prior = EVEN;
        Random random = new Random(4);
        Points places = some(30, 12);
        double[] z = new double[30];
        for (int i = 0; i < 30; i++) {
            z[i] = 0.0004 * random.nextGaussian();
        }
        Points even = Points.of(places.xs(), places.ys(), z);
        Spot far = new Spot(HEAD.box().width() - 3, 3);
        double ofEven = Surface.given(prior, Ground.of(HEAD), even, 0.0005, List.of())
                .over(List.of(far))
                .spread(0);
        double ofUneven = Surface.given(prior, Ground.of(HEAD), places, 0.0005, List.of())
                .over(List.of(far))
                .spread(0);
        assertTrue(ofEven < 0.6 * ofUneven, ofEven + " and " + ofUneven);
    }

    @Test
    void whatIsNoPriorIsRefused() {
        assertThrows(IllegalArgumentException.class, () -> EVEN.withLocal(0, 0.01, 0));
        assertThrows(IllegalArgumentException.class, () -> EVEN.withLocal(70, 0, 0));
        assertThrows(IllegalArgumentException.class, () -> EVEN.withRates(Map.of(Fault.DIP, 0.6, Fault.STEP, 0.4)));
        assertThrows(IllegalArgumentException.class, () -> EVEN.withRates(Map.of(Fault.DIP, -0.1)));
        assertThrows(IllegalArgumentException.class, () -> Surface.given(EVEN, Ground.of(HEAD), NONE, 0, List.of()));
    }
}
