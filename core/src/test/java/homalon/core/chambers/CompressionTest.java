package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.input.BadInputException;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CompressionTest {
    private static final Cylinder TYPICAL =
            new Cylinder(86, 78, 46.2, Cylinder.Gasket.round(87.5, 1.15), 0.15, 2.4, 0.6);

    /** Every figure drawn at random about its value, with what it is said to leave open. */
    @Test
    void spreadIsWhatManyDrawsShow() {
        Random random = new Random(42);
        Doubts doubts = new Doubts(0.35, 0.03, 0.02, 0.25, 180, 0.01);
        Compression.Cut cut = new Compression.Cut(0.6, 0.2, 4700, TYPICAL.boreArea());
        Compression found = Compression.after(TYPICAL, cut, doubts);
        int draws = 200_000;
        double sum = 0;
        double squares = 0;
        for (int i = 0; i < draws; i++) {
            double head = 0.6 + 0.01 * random.nextGaussian();
            double area = 4700 + 180 * random.nextGaussian();
            double block = 0.2 + 0.01 * random.nextGaussian();
            double clearance = 46.2
                    + 0.35 * random.nextGaussian()
                    - head * area / 1000
                    + TYPICAL.gasket().areaMm2() * (1.15 + 0.03 * random.nextGaussian()) / 1000
                    + TYPICAL.boreArea() * (0.15 + 0.02 * random.nextGaussian() - block) / 1000
                    + 2.4
                    + 0.25 * random.nextGaussian()
                    + 0.6;
            double ratio = (TYPICAL.sweptCc() + clearance) / clearance;
            sum += ratio;
            squares += ratio * ratio;
        }
        double mean = sum / draws;
        double deviation = Math.sqrt(squares / draws - mean * mean);
        assertEquals(found.ratio(), mean, 0.002 * mean);
        assertEquals(1, found.spread() / deviation, 0.05);
    }

    /** What the cut is worked out for is what the cut then gives; the same by head, by block, by gasket. */
    @Test
    void cutGivesTheRatioThatWasWanted() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            Cylinder y = new Cylinder(
                    60 + 60 * random.nextDouble(),
                    50 + 60 * random.nextDouble(),
                    30 + 60 * random.nextDouble(),
                    new Cylinder.Gasket(4000 + 6000 * random.nextDouble(), 0.5 + random.nextDouble()),
                    random.nextDouble() - 0.3,
                    6 * random.nextDouble() - 2,
                    random.nextDouble());
            double wanted = y.ratio() + 1.5 * random.nextDouble();
            double opening = 0.8 * y.boreArea();
            double wide = 1.3 * y.boreArea();
            CutForRatio cut = CutForRatio.of(y, wanted, opening, wide);
            assertEquals(
                    wanted,
                    Compression.after(y, new Compression.Cut(cut.headCut(), 0, opening, wide), Doubts.ofFill(0.2))
                            .ratio(),
                    1e-9);
            Compression byBlock =
                    Compression.after(y, new Compression.Cut(0, cut.blockCut(), opening, wide), Doubts.ofFill(0.2));
            assertEquals(wanted, byBlock.ratio(), 1e-9);
            Compression.Cut both = new Compression.Cut(cut.headCut(), cut.blockCut(), opening, wide);
            GasketAdvice advice = GasketAdvice.of(y, both);
            Cylinder then = Compression.after(y, both, Doubts.ofFill(0)).cylinder();
            assertEquals(
                    y.ratio(),
                    then.withGasket(then.gasket().thicker(advice.restoresRatio()))
                            .ratio(),
                    1e-9);
            assertEquals(advice.restoresRatio() - cut.blockCut(), advice.squeezeWithRatio(), 1e-12);
        }
    }

    /** A cone: the walls slope, a mean opening would cut too deep; the fills know better. */
    @Test
    void slopingWallsAreFollowed() {
        // Radius 40 at the face, 4 mm less for each mm of depth.
        List<DepthFills.Level> fills = new ArrayList<>();
        for (double k : new double[] {0, 1, 2, 3}) {
            fills.add(new DepthFills.Level(k, cone(k)));
        }
        DepthFills cone = DepthFills.of(fills);
        assertEquals(Math.PI * 1600, cone.area(0), 80);
        DepthFills.Cut cut = cone.to(cone(1.6));
        assertTrue(cut.reached());
        assertEquals(1.6, cut.cut(), 0.004);
        double byMean = (cone.brim() - cone(1.6)) / cone.meanArea(3) * 1000;
        assertTrue(byMean > 1.8, "the mean over all of it over-cuts: " + byMean);
        DepthFills.Cut tooDeep = cone.to(cone(4));
        assertFalse(tooDeep.reached());
        assertEquals(3, tooDeep.cut());
        // Two fills are a straight line, and a ratio past the deepest says what it comes to.
        DepthFills line = DepthFills.of(List.of(new DepthFills.Level(0, 50), new DepthFills.Level(2, 42)));
        assertEquals(4000, line.area(1), 1e-9);
        CutForRatio far = CutForRatio.of(TYPICAL, 14, line, TYPICAL.boreArea());
        assertFalse(far.possible());
        assertEquals(2, far.headCut());
        assertEquals(42, far.chamberCcAfter(), 1e-9);
        assertTrue(English.of(far.why()).contains("fill deeper"), English.of(far.why()));
        CutForRatio near = CutForRatio.of(TYPICAL, TYPICAL.withChamber(46).ratio(), line, TYPICAL.boreArea());
        assertEquals(1, near.headCut(), 1e-9);
        assertTrue(near.possible());
    }

    /** What a cone of slope 4 holds below a depth, down to its tip, cm3. */
    private static double cone(double depth) {
        double r = 40 - 4 * depth;
        return Math.PI * r * r * (r / 4) / 3 / 1000;
    }

    @Test
    void impossibleWishesAreAnswered() {
        CutForRatio less = CutForRatio.of(TYPICAL, TYPICAL.ratio() - 0.5, 4700, TYPICAL.boreArea());
        assertFalse(less.possible());
        assertTrue(less.headCut() < 0, "the figure is given either way");
        assertTrue(English.of(less.why()).contains("thicker by"), English.of(less.why()));
        CutForRatio forty = CutForRatio.of(TYPICAL, 60, 4700, TYPICAL.boreArea());
        assertFalse(forty.possible());
        assertTrue(
                English.of(forty.why())
                        .contains(Ratios.ratio(TYPICAL.withChamber(0).ratio())),
                English.of(forty.why()));
        assertThrows(
                BadInputException.class, () -> CutForRatio.of(TYPICAL, 1, 4700, TYPICAL.boreArea()), "no such ratio");
        assertThrows(BadInputException.class, () -> TYPICAL.withDeck(-10));
        assertThrows(
                BadInputException.class,
                () -> DepthFills.of(List.of(new DepthFills.Level(0, 40), new DepthFills.Level(1, 41))));
        assertThrows(BadInputException.class, () -> DepthFills.of(List.of(new DepthFills.Level(1, 41))));
    }

    @Test
    void openingIsTheSurestOfItsWays() {
        // A real cut takes 0.5 cc only: the fills blur it, and the outline is surer.
        OpeningArea cut = OpeningArea.cutBetween(46.2, 0.2, 45.7, 0.2, 0.1, 0.005);
        assertEquals(5000, cut.mm2(), 1e-6);
        assertEquals(Math.sqrt(0.08) / 0.1 * 1000, cut.plusMinus(), 40);
        OpeningArea outline = OpeningArea.outline(4800, 260);
        assertEquals(
                outline,
                OpeningArea.best(List.of(OpeningArea.share(86), cut, outline)).orElseThrow());
        // A deep one tells more than the drawing.
        OpeningArea deep = OpeningArea.cutBetween(46.2, 0.2, 34.2, 0.2, 2.5, 0.005);
        assertEquals(deep, OpeningArea.best(List.of(outline, deep)).orElseThrow());
        assertThrows(BadInputException.class, () -> OpeningArea.cutBetween(46, 0.2, 46.5, 0.2, 0.1, 0.005));
    }

    /** Passed by more than two standard uncertainties, failed by more than two; between lies the line. */
    @ParameterizedTest
    @CsvSource({
        "true, 42.41, PASSES",
        "true, 42.40, ON_THE_LINE",
        "true, 42.0, ON_THE_LINE",
        "true, 41.60, ON_THE_LINE",
        "true, 41.59, FAILS",
        "false, 41.59, PASSES",
        "false, 41.60, ON_THE_LINE",
        "false, 42.40, ON_THE_LINE",
        "false, 42.41, FAILS"
    })
    void classIsPassedByMoreThanTwoUncertainties(boolean least, double value, ClassMargin.Standing standing) {
        ClassMargin margin = least ? ClassMargin.atLeast(value, 42, 0.2) : ClassMargin.atMost(value, 42, 0.2);
        assertEquals(standing, margin.standing());
    }

    /** No mix that a search over steps of a hundredth finds takes fewer minutes. */
    @Test
    void equaliseIsTheCheapestMix() {
        Random random = new Random(3);
        for (int i = 0; i < 60; i++) {
            List<Equalise.Means> means = List.of(
                    new Equalise.Means(Equalise.Way.GRIND, random.nextInt(80) / 100.0, 5 + random.nextInt(40)),
                    new Equalise.Means(Equalise.Way.SINK, random.nextInt(60) / 100.0, 5 + random.nextInt(40)),
                    new Equalise.Means(Equalise.Way.POCKET, random.nextInt(60) / 100.0, 5 + random.nextInt(40)));
            double lacks = random.nextInt(120) / 100.0;
            Equalise e = Equalise.of(
                    List.of(new Equalise.Chamber("1", 44, means), new Equalise.Chamber("2", 44 - lacks, means)), 0);
            Equalise.One two = e.each().get(1);
            double given = two.shares().stream().mapToDouble(Equalise.Share::cc).sum();
            double all = means.stream().mapToDouble(Equalise.Means::mostCc).sum();
            assertEquals(Math.min(lacks, all), given, 1e-9);
            assertEquals(lacks - given, two.lacking(), 1e-9);
            assertEquals(44 - two.lacking(), e.possible(), 1e-9);
            assertEquals(e.each().get(0).add(), 0);
            assertEquals(cheapest(means, given), two.minutes(), 1e-6);
        }
        assertThrows(BadInputException.class, () -> Equalise.of(List.of(), 0));
    }

    private static double cheapest(List<Equalise.Means> means, double cc) {
        double best = Double.POSITIVE_INFINITY;
        int whole = (int) Math.round(cc * 100);
        for (int a = 0; a <= whole; a++) {
            for (int b = 0; a + b <= whole; b++) {
                double[] of = {a / 100.0, b / 100.0, (whole - a - b) / 100.0};
                double minutes = 0;
                boolean fits = true;
                for (int k = 0; k < 3; k++) {
                    fits &= of[k] <= means.get(k).mostCc() + 1e-9;
                    minutes += of[k] * means.get(k).minutesPerCc();
                }
                best = fits ? Math.min(best, minutes) : best;
            }
        }
        return best;
    }

    @Test
    void creviceIsAThinRing() {
        double ring = Math.PI / 4 * (86 * 86 - 85.9 * 85.9) * 7 / 1000;
        assertEquals(ring, Cylinder.creviceCc(86, 0.1, 7), 1e-9);
    }
}
