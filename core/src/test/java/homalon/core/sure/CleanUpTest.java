package homalon.core.sure;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.TouchCells;
import homalon.core.cut.TouchComparison;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Raster;
import homalon.core.geometry.Spot;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Ground;
import homalon.core.part.LandRaster;
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
import java.util.BitSet;
import java.util.Comparator;
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
        return CleanUp.of(ASKED, read, new CleanUp.Cut(cutter, seals, seals), List.of(), DEPTHS);
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

    private record Look(TouchSeen seen, double need) {}

    /** What a cutter that came to a share of what it takes touches of a face, cell by cell, and what it takes by its dial. */
    private static Look look(TrueFace face, Plane cutter, double part, double dial) {
        LandRaster land = LandRaster.of(LAYOUT, 84);
        TouchCells cells = TouchCells.of(land);
        double[] above = above(s -> face.at(s.x(), s.y()), cutter);
        double top = Arrays.stream(above).max().orElseThrow() + dial;
        double need = top - Arrays.stream(above).min().orElseThrow();
        Raster heights = land.grid();
        for (int j = 0; j < heights.rows(); j++) {
            for (int i = 0; i < heights.columns(); i++) {
                double x = heights.x(i);
                double y = heights.y(j);
                heights.set(i, j, face.at(x, y) - cutter.at(x, y));
            }
        }
        BitSet touched = cells.touchedAt(heights, top - part * need);
        return new Look(seen(cells, new TouchComparison.Look(part * need, touched, new BitSet())), need);
    }

    private static TouchSeen seen(TouchCells cells, TouchComparison.Look look) {
        return cells.seen(look, GRID.spots());
    }

    private static CleanUp clean(Points read, Plane cutter, List<TouchSeen> looks) {
        boolean[] seals = new boolean[GRID.spots().size()];
        Arrays.fill(seals, true);
        return CleanUp.of(ASKED, read, new CleanUp.Cut(cutter, seals, seals), looks, DEPTHS);
    }

    /** The same faces with and without a look at what was touched, while the dial is off by a few micrometres. */
    @Test
    void whatWasTouchedTellsWhatIsLeft() {
        int faces = 0;
        int held = 0;
        double offByReadings = 0;
        double off = 0;
        for (int seed = 0; seed < 60; seed++) {
            Random random = new Random(31_000 + seed);
            TrueFace face = TrueFace.draw(LAYOUT, GRID.tightest(), random);
            Points read = read(s -> face.at(s.x(), s.y()), 9, random);
            Plane cutter = LeastSquaresPlane.fit(read);
            Look look = look(face, cutter, 0.35 + 0.5 * random.nextDouble(), 0.004 * random.nextGaussian());
            if (look.need() < 0.03) {
                continue;
            }
            CleanDepth before = clean(read, cutter, List.of()).depth();
            CleanDepth then = clean(read, cutter, List.of(look.seen())).depth();
            faces++;
            held += look.need() <= then.mostly() ? 1 : 0;
            offByReadings += Math.abs(look.need() - before.likely());
            off += Math.abs(look.need() - then.likely());
        }
        // Nine of ten, less three standard deviations of as many draws.
        assertTrue(
                held >= faces * (0.9 - 3 * Math.sqrt(0.09 / faces)),
                held + " of " + faces + " clean by the depth of 9 in 10");
        assertTrue(off < 0.85 * offByReadings, off / faces + " off, " + offByReadings / faces + " by readings alone");
    }

    /** A hollow of which no reading tells is first seen by the cutter. */
    @Test
    void aLowThatOnlyTheCutterSawIsLeft() {
        Spot low = GRID.spots().stream()
                .max(Comparator.comparingDouble(s -> PLACES.subList(0, 9).stream()
                        .mapToDouble(s::distance)
                        .min()
                        .orElseThrow()))
                .orElseThrow();
        ToDoubleFunction<Spot> face = s -> -0.09 * Math.exp(-Math.pow(s.distance(low) / 22, 2));
        Points read = read(face, 9, new Random(5));
        Plane cutter = LeastSquaresPlane.fit(read);
        LandRaster land = LandRaster.of(LAYOUT, 84);
        TouchCells cells = TouchCells.of(land);
        BitSet touched = new BitSet();
        for (TouchCells.Cell c : cells.cells()) {
            Spot middle = new Spot(c.x0() + c.width() / 2, c.y0() + c.height() / 2);
            touched.set(c.number(), face.applyAsDouble(middle) > -0.05);
        }
        TouchSeen seen = seen(cells, new TouchComparison.Look(0.05, touched, new BitSet()));
        CleanDepth before = clean(read, cutter, List.of()).depth();
        CleanDepth then = clean(read, cutter, List.of(seen)).depth();
        assertTrue(before.mostly() < 0.04, before + ": nothing tells of it");
        assertTrue(then.likely() > 0.05, then + ": it is not clean at 0.05");
        assertTrue(then.mostly() > 0.06 && then.mostly() < 0.13, then.toString());
    }

    /** Where all was bare nothing is left; where nobody said, nothing is told. */
    @Test
    void allBareIsCleanAndNothingSaidTellsNothing() {
        TrueFace face = TrueFace.draw(TrueFace.Kind.PLAIN, LAYOUT, GRID.tightest(), new Random(21));
        Points read = read(s -> face.at(s.x(), s.y()), 12, new Random(22));
        Plane cutter = LeastSquaresPlane.fit(read);
        TouchCells cells = TouchCells.of(LandRaster.of(LAYOUT, 84));
        BitSet every = new BitSet();
        cells.cells().forEach(c -> every.set(c.number()));
        CleanDepth before = clean(read, cutter, List.of()).depth();
        CleanDepth bare = clean(
                        read,
                        cutter,
                        List.of(seen(cells, new TouchComparison.Look(before.likely(), every, new BitSet()))))
                .depth();
        assertTrue(bare.mostly() < before.mostly() && bare.likely() <= before.likely() + 0.001, bare + " of " + before);
        CleanDepth unsaid = clean(
                        read, cutter, List.of(seen(cells, new TouchComparison.Look(0.02, new BitSet(), every))))
                .depth();
        assertEquals(before.likely(), unsaid.likely(), 1e-9);
        assertEquals(before.mostly(), unsaid.mostly(), 1e-9);
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
