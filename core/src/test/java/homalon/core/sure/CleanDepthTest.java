package homalon.core.sure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Ground;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sim.TrueFace;
import homalon.core.surface.SurfacePrior;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class CleanDepthTest {
    private static final double NOISE = 0.002;
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final List<FlatnessLimit> LIMITS =
            FaceDefaults.of(BenchUnit.MM).limits(4);
    private static final FaceGrid GRID = FaceGrid.of(Ground.of(LAYOUT), LIMITS);
    private static final SurfacePrior PRIOR = SurfacePrior.usual(GRID.tightest());

    private static Sureness.Question question(List<Spot> gone) {
        return new Sureness.Question(GRID, PRIOR, NOISE, gone, 0.01);
    }

    private static Points read(TrueFace face, List<Spot> at, Random random) {
        return Points.of(at.stream()
                .map(s -> new double[] {s.x(), s.y(), face.read(s, NOISE, random)})
                .toArray(double[][]::new));
    }

    private static double truth(TrueFace face, Plane plane) {
        double[] above = GRID.spots().stream()
                .mapToDouble(s -> face.at(s.x(), s.y()) - plane.at(s.x(), s.y()))
                .toArray();
        return Arrays.stream(above).max().orElseThrow()
                - Arrays.stream(above).min().orElseThrow();
    }

    private static CleanDepth clean(Sureness.Question question, Points read, Plane plane, boolean[] seals) {
        return CleanUp.of(question, read, new CleanUp.Cut(plane, seals, seals), List.of(), new double[0])
                .depth();
    }

    private static boolean[] all() {
        boolean[] seals = new boolean[GRID.spots().size()];
        Arrays.fill(seals, true);
        return seals;
    }

    /** Of faces drawn as faces are, half come clean by the one depth and nine in ten by the other. */
    @Test
    void itCleansAsOftenAsItSays() {
        List<Spot> places = FirstPlaces.of(GRID, PRIOR, 16, NOISE);
        int likely = 0;
        int mostly = 0;
        int faces = 200;
        for (int seed = 0; seed < faces; seed++) {
            Random random = new Random(7_000 + seed);
            TrueFace face = TrueFace.draw(LAYOUT, GRID.tightest(), random);
            Points read = read(face, places, random);
            Plane plane = LeastSquaresPlane.fit(read);
            CleanDepth found = clean(question(face.gone().stream().toList()), read, plane, all());
            assertTrue(found.likely() <= found.mostly());
            double needed = truth(face, plane);
            likely += needed <= found.likely() ? 1 : 0;
            mostly += needed <= found.mostly() ? 1 : 0;
        }
        assertTrue(likely > 0.38 * faces && likely < 0.75 * faces, likely + " of " + faces + " by the likely depth");
        assertTrue(mostly > 0.85 * faces && mostly < 0.99 * faces, mostly + " of " + faces + " by the greater one");
    }

    @Test
    void moreReadingsLeaveLessSpread() {
        TrueFace face = TrueFace.draw(TrueFace.Kind.PLAIN, LAYOUT, GRID.tightest(), new Random(3));
        double[] spread = new double[2];
        int[] counts = {9, 40};
        for (int k = 0; k < 2; k++) {
            Points read = read(face, FirstPlaces.of(GRID, PRIOR, counts[k], NOISE), new Random(4));
            CleanDepth found = clean(question(List.of()), read, LeastSquaresPlane.fit(read), all());
            spread[k] = found.mostly() - found.likely();
        }
        assertTrue(spread[1] < 0.7 * spread[0], spread[0] + " by 9, " + spread[1] + " by 40");
    }

    private static double range(TrueFace face, Plane plane) {
        double[] heights = face.heights(GRID.spots());
        double most = Double.NEGATIVE_INFINITY;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < heights.length; i++) {
            double above = heights[i]
                    - plane.at(GRID.spots().get(i).x(), GRID.spots().get(i).y());
            most = Math.max(most, above);
            least = Math.min(least, above);
        }
        return most - least;
    }

    /** A set-up that is tilted costs what it is tilted by. */
    @Test
    void aTiltedSetUpTakesMore() {
        TrueFace face = TrueFace.draw(TrueFace.Kind.PLAIN, LAYOUT, GRID.tightest(), new Random(5));
        Points read = read(face, FirstPlaces.of(GRID, PRIOR, 16, NOISE), new Random(6));
        Plane level = LeastSquaresPlane.fit(read);
        double rise = 0.2;
        Plane tilted = level.plus(new Plane(rise / LAYOUT.box().width(), 0, 0));
        CleanDepth best = clean(question(List.of()), read, level, all());
        CleanDepth other = clean(question(List.of()), read, tilted, all());
        double more = range(face, tilted) - range(face, level);
        assertTrue(more > rise / 2, "it costs something: " + more);
        assertEquals(more, other.likely() - best.likely(), 0.015);
        assertEquals(best, clean(question(List.of()), read, level, all()), "the same again");
    }

    @Test
    void whatNeedNotComeCleanIsLeft() {
        TrueFace face = TrueFace.draw(TrueFace.Kind.PLAIN, LAYOUT, GRID.tightest(), new Random(8));
        Points read = read(face, FirstPlaces.of(GRID, PRIOR, 16, NOISE), new Random(9));
        Plane level = LeastSquaresPlane.fit(read);
        boolean[] half = all();
        for (int i = 0; i < half.length; i++) {
            half[i] = GRID.spots().get(i).x() < LAYOUT.box().x0() + LAYOUT.box().width() / 2;
        }
        assertTrue(clean(question(List.of()), read, level, half).likely()
                <= clean(question(List.of()), read, level, all()).likely());
    }
}
