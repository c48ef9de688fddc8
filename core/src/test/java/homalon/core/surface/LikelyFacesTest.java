package homalon.core.surface;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import org.ejml.data.DMatrixRMaj;
import org.ejml.dense.row.CommonOps_DDRM;
import org.junit.jupiter.api.Test;

/** Faces drawn by a walk, held against what is known of them in closed form. */
class LikelyFacesTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final Ground GROUND = Ground.of(LAYOUT);
    private static final SurfacePrior USUAL = SurfacePrior.usual(0.05);
    private static final SurfacePrior NO_FAULTS = USUAL.withRates(Map.of());

    private static List<Spot> places() {
        Box box = LAYOUT.box();
        List<Spot> all = new ArrayList<>();
        for (int i = 0; i < 5; i++) {
            for (int j = 0; j < 3; j++) {
                all.add(new Spot(box.x0() + box.width() * i / 4, box.y0() + box.height() * j / 2));
            }
        }
        return all;
    }

    /** Heights as an instrument reads them: evidence for which everything is known exactly. */
    private record Read(double[] values, double noise, boolean hinted) implements Evidence {
        @Override
        public int places() {
            return values.length;
        }

        @Override
        public double log(double[] heights, double least) {
            double sum = 0;
            for (int i = 0; i < values.length; i++) {
                double off = (heights[i] - values[i]) / noise;
                sum -= 0.5 * off * off;
            }
            return sum;
        }

        @Override
        public List<Hint> hints() {
            List<Hint> all = new ArrayList<>();
            for (int i = 0; hinted && i < values.length; i++) {
                all.add(new Hint(new int[] {i}, new double[] {1}, values[i], noise));
            }
            return all;
        }
    }

    private record Moments(double mean, double spread) {}

    private static Moments at(List<LikelyFaces.Face> faces, int place) {
        double w = faces.stream().mapToDouble(LikelyFaces.Face::weight).sum();
        double mean =
                faces.stream().mapToDouble(f -> f.weight() * f.heights()[place]).sum() / w;
        double square = faces.stream()
                        .mapToDouble(f -> f.weight() * Math.pow(f.heights()[place] - mean, 2))
                        .sum()
                / w;
        return new Moments(mean, Math.sqrt(square));
    }

    @Test
    void withoutEvidenceTheyAreThoseOfThePrior() {
        List<Spot> places = places();
        Read nothing = new Read(new double[0], 1, false);
        List<LikelyFaces.Face> faces = new LikelyFaces(NO_FAULTS, GROUND, places, nothing, List.of()).draw(4000);
        Box box = LAYOUT.box();
        SurfacePrior.Bends bends = NO_FAULTS.bends();
        for (int p : new int[] {0, 4, 7, 14}) {
            double u = box.u(places.get(p).x());
            double v = box.v(places.get(p).y());
            // Four tenths a fifth as bent, three half, three as far; seven tenths a third as twisted; a quarter half as
            // uneven, one twice.
            double bent = 0.4 * 0.04 + 0.3 * 0.25 + 0.3;
            double twisted = 0.7 * 0.09 + 0.3;
            double variance = bent * Math.pow(bends.longBow() * u * u, 2)
                    + bent * Math.pow(bends.crossBow() * v * v, 2)
                    + twisted * Math.pow(bends.twist() * u * v, 2)
                    + bent * Math.pow(bends.edgesApart() * u * u * v, 2)
                    + bent * Math.pow(bends.endsApart() * u * v * v, 2)
                    + (0.25 * 0.25 + 0.5 + 0.25 * 4) * NO_FAULTS.local() * NO_FAULTS.local();
            Moments found = at(faces, p);
            assertEquals(0, found.mean(), 0.08 * Math.sqrt(variance), "place " + p);
            assertEquals(1, found.spread() / Math.sqrt(variance), 0.08, "place " + p);
        }
    }

    /** Mean and variance at a place by the normal equations, and how likely the readings are, for one level. */
    private static double[] exact(List<Spot> places, double[] read, double noise, SurfacePrior.Level times, int at) {
        int n = read.length;
        DMatrixRMaj k = new DMatrixRMaj(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                k.set(i, j, covariance(places.get(i), places.get(j), times) + (i == j ? noise * noise : 0));
            }
        }
        double determinant = CommonOps_DDRM.det(k);
        DMatrixRMaj inverse = new DMatrixRMaj(n, n);
        assertTrue(CommonOps_DDRM.invertSPD(k, inverse));
        double mean = 0;
        double variance = covariance(places.get(at), places.get(at), times);
        double square = 0;
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                double ci = covariance(places.get(at), places.get(i), times);
                mean += ci * inverse.get(i, j) * read[j];
                variance -= ci * inverse.get(i, j) * covariance(places.get(at), places.get(j), times);
                square += read[i] * inverse.get(i, j) * read[j];
            }
        }
        return new double[] {mean, variance, Math.exp(-0.5 * square) / Math.sqrt(determinant)};
    }

    private static double covariance(Spot a, Spot b, SurfacePrior.Level times) {
        SurfacePrior.Bends bends = NO_FAULTS.bends();
        double by = times.bent();
        double[] of = {
            by * bends.longBow(),
            by * bends.crossBow(),
            times.twisted() * bends.twist(),
            by * bends.edgesApart(),
            by * bends.endsApart()
        };
        double local = times.local() * NO_FAULTS.local();
        double sum = local * local * Matern.of(a.distance(b), NO_FAULTS.length());
        for (int t = 0; t < of.length; t++) {
            sum += of[t] * of[t] * terms(a)[t] * terms(b)[t];
        }
        return sum;
    }

    private static double[] terms(Spot s) {
        double u = LAYOUT.box().u(s.x());
        double v = LAYOUT.box().v(s.y());
        return new double[] {u * u, v * v, u * v, u * u * v, u * v * v};
    }

    @Test
    void withReadingsTheyAreWhereTheExactSumPutsThem() {
        List<Spot> places = places();
        double[] read = {0.02, 0.01, 0.03, -0.01, 0.005, 0, -0.02, -0.03, -0.01, 0.01};
        double noise = 0.004;
        List<LikelyFaces.Face> faces =
                new LikelyFaces(NO_FAULTS, GROUND, places, new Read(read, noise, true), List.of()).draw(5000);
        for (int p = 0; p < places.size(); p++) {
            double all = 0;
            double mean = 0;
            double square = 0;
            for (SurfacePrior.Level level : NO_FAULTS.levels()) {
                double[] of = exact(places, read, noise, level, p);
                double w = level.share() * of[2];
                all += w;
                mean += w * of[0];
                square += w * (of[1] + of[0] * of[0]);
            }
            mean /= all;
            double spread = Math.sqrt(square / all - mean * mean);
            Moments found = at(faces, p);
            assertEquals(mean, found.mean(), 0.15 * spread + 0.0003, "place " + p);
            assertEquals(1, found.spread() / spread, 0.12, "place " + p);
        }
    }

    @Test
    void aFaultIsAsLikelyAsTheExactMixtureSays() {
        Spot gone = new Spot(
                (LAYOUT.bores().get(1).centre().x()
                                + LAYOUT.bores().get(2).centre().x())
                        / 2,
                LAYOUT.bores().get(1).centre().y());
        List<Spot> all = new ArrayList<>(places());
        all.add(gone);
        double noise = 0.004;
        for (double low : new double[] {0, -0.015, -0.03}) {
            double[] read = new double[all.size()];
            read[read.length - 1] = low;
            double[][] points = new double[all.size()][];
            for (int i = 0; i < points.length; i++) {
                points[i] = new double[] {all.get(i).x(), all.get(i).y(), read[i]};
            }
            Surface exact = Surface.given(USUAL, GROUND, Points.of(points), noise, List.of(gone));
            List<LikelyFaces.Face> faces =
                    new LikelyFaces(USUAL, GROUND, all, new Read(read, noise, true), List.of(gone)).draw(4000);
            double plain = share(faces, f -> f.fault().isEmpty());
            double faulty =
                    Arrays.stream(Fault.values()).mapToDouble(exact::chanceOf).sum();
            assertEquals(1 - faulty, plain, 0.1, "read there: " + low);
        }
    }

    private static double share(List<LikelyFaces.Face> faces, Predicate<LikelyFaces.Face> which) {
        return faces.stream()
                .filter(which)
                .mapToDouble(LikelyFaces.Face::weight)
                .sum();
    }

    @Test
    void theSameQuestionHasTheSameFaces() {
        Read read = new Read(new double[] {0.01, 0, 0.01}, 0.003, true);
        List<LikelyFaces.Face> one = new LikelyFaces(USUAL, GROUND, places(), read, List.of()).draw(40);
        LikelyFaces again = new LikelyFaces(USUAL, GROUND, places(), read, List.of());
        again.draw(20);
        List<LikelyFaces.Face> rest = again.draw(40);
        for (int f = 0; f < one.size(); f++) {
            assertArrayEquals(one.get(f).heights(), rest.get(f).heights(), "drawn at once or in two goes");
            assertEquals(one.get(f).weight(), rest.get(f).weight(), 1e-15);
        }
    }

    /** Drawn oftener than they occur and weighed by that: faults keep their rates where nothing tells of them. */
    @Test
    void faultsCountAsOftenAsTheyOccur() {
        Read nothing = new Read(new double[0], 1, false);
        List<LikelyFaces.Face> faces = new LikelyFaces(USUAL, GROUND, places(), nothing, List.of()).draw(3000);
        double drawn = faces.stream().filter(f -> f.fault().isPresent()).count() / 3000.0;
        double counted = share(faces, f -> f.fault().isPresent());
        double rates = 0.005 + 0.02 + 0.02 + 0.05;
        assertTrue(drawn > 0.35, "half of them are looked at with a fault: " + drawn);
        assertEquals(rates, counted, 0.02, "a gasket is gone only where it was told");
        assertEquals(0.005, share(faces, f -> f.fault().equals(Optional.of(Fault.DIP))), 0.002);
    }
}
