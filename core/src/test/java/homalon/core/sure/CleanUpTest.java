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
import homalon.core.sim.TrueFace;
import homalon.core.surface.SurfacePrior;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;
import org.junit.jupiter.api.Test;

/** How much of a face a cut cleans, with its band. */
class CleanUpTest {
    private static final double NOISE = 0.001;
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("86"), Length.ofMm("94")));
    private static final FaceGrid GRID =
            FaceGrid.of(Ground.of(LAYOUT), FaceDefaults.of(BenchUnit.MM).limits(4));
    private static final SurfacePrior PRIOR = SurfacePrior.usual(GRID.tightest());
    private static final Sureness.Question ASKED = new Sureness.Question(GRID, PRIOR, NOISE, List.of(), 0.01);
    private static final List<Spot> PLACES = FirstPlaces.of(GRID, PRIOR, 12, NOISE);
    private static final double[] DEPTHS = {0.01, 0.02, 0.03, 0.05};

    private static Points read(ToDoubleFunction<Spot> face, int places, Random random) {
        return Points.of(PLACES.subList(0, places).stream()
                .map(s -> new double[] {s.x(), s.y(), face.applyAsDouble(s) + NOISE * random.nextGaussian()})
                .toArray(double[][]::new));
    }

    private static double[] above(ToDoubleFunction<Spot> face, Plane cutter) {
        return GRID.spots().stream()
                .mapToDouble(s -> face.applyAsDouble(s) - cutter.at(s.x(), s.y()))
                .toArray();
    }

    private static CleanUp clean(Points read, Plane cutter) {
        boolean[] seals = new boolean[GRID.spots().size()];
        Arrays.fill(seals, true);
        return CleanUp.of(ASKED, read, cutter, seals, DEPTHS);
    }

    /** Of faces drawn as faces are, each band holds the truth in about eight of ten cases. */
    @Test
    void bandsHoldAsOftenAsTheySay() {
        int faces = 120;
        int held = 0;
        int under = 0;
        for (int seed = 0; seed < faces; seed++) {
            Random random = new Random(11_000 + seed);
            TrueFace face = TrueFace.draw(LAYOUT, GRID.tightest(), random);
            Points read = read(s -> face.at(s.x(), s.y()), 9, random);
            Plane cutter = LeastSquaresPlane.fit(read);
            double[] above = above(s -> face.at(s.x(), s.y()), cutter);
            double cut = Arrays.stream(above).max().orElseThrow() - DEPTHS[0];
            double truth = (double) Arrays.stream(above).filter(h -> h >= cut).count() / above.length;
            CleanUp.Share share = clean(read, cutter).shares().get(0);
            held += truth >= share.least() && truth <= share.most() ? 1 : 0;
            under += truth < share.likely() ? 1 : 0;
        }
        assertTrue(held >= 0.7 * faces && held < 0.98 * faces, held + " of " + faces);
        assertTrue(under > 0.2 * faces && under < 0.8 * faces, under + " of " + faces + " under the likely share");
    }

    @Test
    void sharesRiseWithDepthAndAreTheSameAgain() {
        TrueFace face = TrueFace.draw(TrueFace.Kind.PLAIN, LAYOUT, GRID.tightest(), new Random(21));
        Points read = read(s -> face.at(s.x(), s.y()), 12, new Random(22));
        Plane cutter = LeastSquaresPlane.fit(read);
        CleanUp found = clean(read, cutter);
        List<CleanUp.Share> shares = new ArrayList<>(found.shares());
        for (int d = 0; d < DEPTHS.length; d++) {
            CleanUp.Share s = shares.get(d);
            assertTrue(s.least() <= s.likely() && s.likely() <= s.most() && s.most() <= 1);
            assertTrue(d == 0 || s.likely() >= shares.get(d - 1).likely());
        }
        assertEquals(found, clean(read, cutter));
    }
}
