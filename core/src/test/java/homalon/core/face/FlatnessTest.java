package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Box;
import homalon.core.geometry.Contours;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.BoltRows;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

class FlatnessTest {
    private static final Layout FOUR =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));

    private static Points survey(SeededFace face, PlaceProposal.Density density) {
        return face.read(
                PlaceProposal.of(FOUR, density).stream()
                        .map(PlaceProposal.Place::spot)
                        .toList(),
                0,
                1);
    }

    private static SeededFace shaped(double longBow, double crossBow, double lift) {
        return new SeededFace(FOUR.box(), 0.3, -0.1, longBow, crossBow, lift, List.of());
    }

    private static FaceJudge.Judgement judge(Points points, double uncertainty, FlatnessLimit... limits) {
        List<String> names = new ArrayList<>();
        for (int i = 0; i < points.size(); i++) {
            names.add("place " + (i + 1));
        }
        return FaceJudge.judge(points, names, new FaceJudge.Settings(FOUR, List.of(limits), 75, uncertainty));
    }

    @ParameterizedTest
    @CsvSource({
        "0.08, 0, 0, HOLLOW_LENGTHWISE",
        "-0.08, 0.01, 0, CROWNED_LENGTHWISE",
        "0.01, 0.09, 0, HOLLOW_CROSSWISE",
        "0, -0.09, 0.02, CROWNED_CROSSWISE",
        "0.01, 0, 0.2, TWISTED",
        "0.05, 0.05, 0.1, MIXED"
    })
    void theShapeThatWasPutInIsFoundAndNamed(double e, double f, double lift, Shape shape) {
        Points points = survey(shaped(e, f, lift), PlaceProposal.Density.CLOSE);
        FlatnessResult result = Flatness.of(points, FlatnessSettings.over(FOUR.box()));
        assertEquals(e, result.bend().longBow().orElseThrow(), 1e-9);
        assertEquals(f, result.bend().crossBow().orElseThrow(), 1e-9);
        assertEquals(lift, result.bend().fourthCornerLift().orElseThrow(), 1e-9);
        assertEquals(0, result.bend().local(), 1e-9);
        assertEquals(shape, result.shape());
    }

    @Test
    void aDipIsLocalAndSaidWhere() {
        SeededFace dipped = new SeededFace(
                FOUR.box(),
                0,
                0,
                0,
                0,
                0,
                List.of(new SeededFace.Dip(FOUR.boltHoles().get(2).centre(), 0.1, 25)));
        Points points = survey(dipped, PlaceProposal.Density.CLOSE);
        FlatnessResult result = Flatness.of(points, FlatnessSettings.over(FOUR.box()));
        assertEquals(Shape.LOCAL, result.shape());
        assertTrue(English.of(FaceWords.shape(result, points, FOUR)).contains("intake edge, between 2 and 3"));
    }

    /** Four corners of a head hollow by 0.15 show nothing: that must never read as within. */
    @Test
    void cornersAloneProveNothingGood() {
        Points corners = survey(shaped(0.15, 0, 0), PlaceProposal.Density.CORNERS);
        FlatnessLimit limit = FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER);
        FaceJudge.Judgement judged = judge(corners, 0.002, limit);
        assertTrue(judged.flatness().minimumZone().zone() < 0.005, "corners hardly see a hollow of 0.15");
        assertEquals(Verdict.NOT_PROVEN, judged.worst());
        Spot next = judged.limits().get(0).next().orElseThrow();
        assertTrue(next.x() > 100 && next.x() < FOUR.box().x1() - 100, "measure near the middle next");
    }

    /** Whatever the cover: a face that may be bent between its places is not within. */
    @ParameterizedTest
    @CsvSource({
        "'0 0, 106 0, 0 106, 106 106', 106, 106, long bow and cross bow",
        "'10 4, 100 4, 200 4, 300 4, 395 4, 10 134, 100 134, 200 134, 300 134, 395 134', 405, 138, cross bow",
        "'5 10, 5 60, 5 110, 100 10, 100 60, 100 110', 105, 120, long bow",
        "'50 0, 50 50, 50 100, 0 50, 100 50', 100, 100, twist",
        "'0 0, 50 0, 100 0, 0 50, 50 50, 100 50, 0 100, 50 100, 100 100', 100, 100, ''"
    })
    void withinNeedsTheShape(String places, double width, double height, String open) {
        double[][] read = Arrays.stream(places.split(", "))
                .map(p -> p.split(" "))
                .map(p -> new double[] {Double.parseDouble(p[0]), Double.parseDouble(p[1]), 0})
                .toArray(double[][]::new);
        FlatnessResult result = Flatness.of(
                Points.of(read),
                FlatnessSettings.over(new Box(0, 0, width, height)).withLimit(0.05));
        assertEquals(open, English.of(result.bend().open()));
        assertEquals(open.isEmpty(), result.bend().determined());
        assertEquals(
                open.isEmpty() ? Verdict.WITHIN : Verdict.NOT_PROVEN,
                result.verdict().orElseThrow());
    }

    @Test
    void whatLeavesTheShapeOpenIsSaid() {
        Points edges = Points.of(new double[][] {
            {5, 3, 0},
            {100, 3, 0},
            {200, 3, 0},
            {300, 3, 0},
            {FOUR.box().x1() - 5, 3, 0},
            {5, FOUR.box().y1() - 3, 0},
            {100, FOUR.box().y1() - 3, 0},
            {200, FOUR.box().y1() - 3, 0},
            {300, FOUR.box().y1() - 3, 0},
            {FOUR.box().x1() - 5, FOUR.box().y1() - 3, 0}
        });
        LimitVerdict limit = FaceJudge.judge(
                        edges,
                        java.util.Collections.nCopies(10, "place"),
                        new FaceJudge.Settings(
                                FOUR, List.of(FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER)), 500, 0.002))
                .limits()
                .get(0);
        assertEquals(Verdict.NOT_PROVEN, limit.verdict());
        assertEquals("These places leave open: cross bow. Read more between them.", English.of(limit.why()));
        double across = limit.next().orElseThrow().y();
        assertTrue(across > 30 && across < FOUR.box().y1() - 30, "between the edges: " + across);
    }

    /** Whoever reads where it says comes to an end soon, wherever one began. */
    @ParameterizedTest
    @CsvSource({"CORNERS, 3", "EDGES, 3"})
    void theNextPlaceDeterminesTheShape(String begun, int most) {
        List<Spot> spots = new ArrayList<>();
        Box box = FOUR.box();
        int along = begun.equals("CORNERS") ? 2 : 5;
        for (int i = 0; i < along; i++) {
            double x = box.x0() + 5 + i * (box.x1() - box.x0() - 10) / (along - 1);
            spots.add(new Spot(x, box.y0() + 3));
            spots.add(new Spot(x, box.y1() - 3));
        }
        FlatnessLimit limit = FlatnessLimit.overall(Length.ofMm("0.05"), Source.MAKER);
        FaceJudge.Settings wide = new FaceJudge.Settings(FOUR, List.of(limit), 500, 0.002);
        int read = 0;
        while (true) {
            Points points = shaped(0.01, 0.005, 0.004).read(spots, 0, 1);
            LimitVerdict now = FaceJudge.judge(points, java.util.Collections.nCopies(spots.size(), "place"), wide)
                    .limits()
                    .get(0);
            if (now.verdict() == Verdict.WITHIN) {
                break;
            }
            assertTrue(English.of(now.why()).startsWith("These places leave open"), English.of(now.why()));
            spots.add(now.next().orElseThrow());
            read++;
            assertTrue(read <= most, "read " + spots);
        }
        assertTrue(read >= 1);
    }

    /** A cross bow that two inset rows cannot show does not come out as a twist. */
    @Test
    void aBowThatIsNotDeterminedIsHeldAndDoesNotLeakIntoTheTwist() {
        Box box = new Box(0, 0, 400, 150);
        Random random = new Random(5);
        for (int n = 0; n < 200; n++) {
            double[][] corners = new double[4][];
            for (int i = 0; i < 4; i++) {
                double x = i % 2 == 0 ? 20 * random.nextDouble() : 400 - 20 * random.nextDouble();
                double y = i < 2 ? 10 * random.nextDouble() : 150 - 10 * random.nextDouble();
                corners[i] = new double[] {x, y, i == 0 || i == 3 ? 0.06 : 0};
            }
            BowAndTwist bend = BowAndTwist.of(Points.of(corners), box);
            assertTrue(bend.longBow().isEmpty() && bend.crossBow().isEmpty());
            double lift = bend.fourthCornerLift().orElseThrow();
            assertTrue(lift > 0.119 && lift < 0.2, "over the outline: " + lift);
            assertEquals(0, bend.local(), 1e-9, "four places and four terms");
            assertEquals(Shape.TWISTED, bend.shape());
            assertTrue(
                    Double.isInfinite(bend.error().crossBow()) && bend.error().fourthCornerLift() < 12);
        }
    }

    /** Heights that are all the same, far away: what sums leave is no shape. */
    @ParameterizedTest
    @ValueSource(doubles = {0, 0.1, 0.3, 4000.06579})
    void roundingNamesNoShape(double height) {
        Points points = survey(shaped(0, 0, 0), PlaceProposal.Density.CLOSE);
        double[][] same = new double[points.size()][];
        for (int i = 0; i < same.length; i++) {
            same[i] = new double[] {points.x(i), points.y(i), height};
        }
        BowAndTwist bend = BowAndTwist.of(Points.of(same), FOUR.box());
        assertEquals(Shape.MIXED, bend.shape());
    }

    /** The error that is given is the spread that noise of one unit makes. */
    @Test
    void theErrorIsTheSpreadOfTheFigure() {
        Random random = new Random(8);
        Points points = survey(shaped(0, 0, 0), PlaceProposal.Density.CLOSE);
        double sum = 0;
        int times = 4000;
        double told = 0;
        for (int n = 0; n < times; n++) {
            double[][] noisy = new double[points.size()][];
            for (int i = 0; i < noisy.length; i++) {
                noisy[i] = new double[] {points.x(i), points.y(i), random.nextGaussian()};
            }
            BowAndTwist bend = BowAndTwist.of(Points.of(noisy), FOUR.box());
            sum += bend.fourthCornerLift().orElseThrow()
                    * bend.fourthCornerLift().orElseThrow();
            told = bend.error().fourthCornerLift();
        }
        assertEquals(told, Math.sqrt(sum / times), 0.05 * told);
    }

    @Test
    void theGuardBandOfTheInstrumentIsKeptOnBothSides() {
        Points points = survey(shaped(0.05, 0, 0), PlaceProposal.Density.CLOSE);
        double zone = MinimumZone.of(points).zone();
        Length limit = Length.roundedFromMm(zone);
        FlatnessLimit at = FlatnessLimit.overall(limit, Source.MAKER);
        assertEquals(Verdict.WITHIN, judge(points, 0, at).worst());
        assertEquals(Verdict.NOT_PROVEN, judge(points, 0.002, at).worst());
        FlatnessLimit below = FlatnessLimit.overall(limit.minus(Length.ofMm("0.001")), Source.MAKER);
        assertEquals(Verdict.OUT, judge(points, 0, below).worst());
        assertEquals(Verdict.NOT_PROVEN, judge(points, 0.002, below).worst());
    }

    @Test
    void aWindowLimitNeedsFourPlacesInEveryWindow() {
        FlatnessLimit any = FlatnessLimit.inAny(Length.ofMm("100"), Length.ofMm("0.02"), Source.GASKET);
        Points few = survey(shaped(0.03, 0, 0), PlaceProposal.Density.USUAL);
        assertEquals(Verdict.NOT_PROVEN, judge(few, 0, any).worst());
        Points steep = survey(shaped(0.6, 0, 0), PlaceProposal.Density.CLOSE);
        assertEquals(Verdict.OUT, judge(steep, 0, any).worst());
    }

    /** No window thrown anywhere holds fewer places than every window is said to hold, and the emptiest one tells. */
    @ParameterizedTest
    @ValueSource(doubles = {60, 110, 200})
    void everyWindowHoldsWhatItIsSaidToHold(double side) {
        Box box = FOUR.box();
        double wide = Math.min(side, box.width());
        double high = Math.min(side, box.height());
        Random random = new Random(17);
        for (int survey = 0; survey < 12; survey++) {
            double[][] rows = random.doubles(30 + 10L * survey)
                    .mapToObj(u -> new double[] {u * box.width(), random.nextDouble() * box.height(), 0})
                    .toArray(double[][]::new);
            Points points = Points.of(rows);
            int fewest = Integer.MAX_VALUE;
            for (int thrown = 0; thrown < 4000; thrown++) {
                double x0 = random.nextDouble() * (box.width() - wide);
                double y0 = random.nextDouble() * (box.height() - high);
                int held = 0;
                for (double[] p : rows) {
                    held += p[0] >= x0 && p[0] <= x0 + wide && p[1] >= y0 && p[1] <= y0 + high ? 1 : 0;
                }
                fewest = Math.min(fewest, held);
            }
            assertFalse(WindowFlatness.everyHolds(fewest + 1, points, box, side));
            int said = 0;
            while (WindowFlatness.everyHolds(said + 1, points, box, side)) {
                said++;
            }
            assertTrue(said <= fewest && said >= fewest - 3, said + " said, " + fewest + " found");
        }
    }

    @Test
    void worstWindowIsTheWorstOfAllByHand() {
        for (int seed = 1; seed <= 20; seed++) {
            Random random = new Random(seed);
            double[][] rows = random.doubles(14)
                    .mapToObj(r -> new double[] {400 * r, 150 * random.nextDouble(), 0.1 * random.nextDouble()})
                    .toArray(double[][]::new);
            Points points = Points.of(rows);
            WindowFlatness.Worst worst = new WindowFlatness.Worst(0, 0, 0, 0);
            for (double x0 : points.xs().clone()) {
                for (double y0 : points.ys().clone()) {
                    int[] inside = java.util.stream.IntStream.range(0, rows.length)
                            .filter(i -> rows[i][0] >= x0
                                    && rows[i][0] <= x0 + 120
                                    && rows[i][1] >= y0
                                    && rows[i][1] <= y0 + 120)
                            .toArray();
                    double zone = inside.length < 4
                            ? 0
                            : MinimumZone.of(points.pick(inside)).zone();
                    boolean first = x0 < worst.x0() || (x0 == worst.x0() && y0 < worst.y0());
                    if (zone > worst.zone() + 1e-12 || (zone > worst.zone() - 1e-12 && first)) {
                        worst = new WindowFlatness.Worst(x0, y0, zone, inside.length);
                    }
                }
            }
            WindowFlatness.Worst found = WindowFlatness.worst(points, 120, 1e-9).orElseThrow();
            assertEquals(worst.zone(), found.zone(), 1e-12);
            assertEquals(worst.x0(), found.x0());
            assertEquals(worst.y0(), found.y0());
            // As nothing on a bench is: still answered, to what rounding leaves of it.
            double[] far = Arrays.stream(points.zs()).map(z -> z + 1e9).toArray();
            assertEquals(
                    worst.zone(),
                    WindowFlatness.worst(Points.of(points.xs(), points.ys(), far), 120, 1e-9)
                            .orElseThrow()
                            .zone(),
                    1e-5);
        }
    }

    /** The furthest place found by exact cells is the furthest of a fine search over the land. */
    @Test
    void coverFindsTheFurthestLand() {
        Points points = survey(shaped(0, 0, 0), PlaceProposal.Density.USUAL);
        Cover cover = Cover.of(points, FOUR.askedLand());
        LandRaster fine = LandRaster.of(FOUR, 300);
        var grid = fine.grid();
        double furthest = 0;
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                if (fine.isLand(grid, i, j)) {
                    double nearest = Double.MAX_VALUE;
                    for (int k = 0; k < points.size(); k++) {
                        nearest = Math.min(nearest, points.spot(k).distance(new Spot(grid.x(i), grid.y(j))));
                    }
                    furthest = Math.max(furthest, nearest);
                }
            }
        }
        assertTrue(cover.distance() >= furthest - 1e-9 && cover.distance() <= furthest + 2.5);
    }

    /**
     * A survey is judged after every reading: each beginning of each walk on layouts of every kind must give a cover, which
     * no land that is looked at lies beyond.
     */
    @Test
    void coverIsFoundAfterEveryReadingOnWhateverLayout() {
        Random random = new Random(9);
        for (int n = 1; n <= 8; n++) {
            double bore = 60 + random.nextInt(60);
            Layout layout = Layout.of(LayoutNumbers.proposed(
                    n % 2 == 0 ? PartKind.HEAD : PartKind.DECK,
                    n,
                    Length.roundedFromMm(bore),
                    Length.roundedFromMm(Math.rint(bore * 1.13))));
            LandRaster coarse = LandRaster.of(layout, 60);
            var grid = coarse.grid();
            List<Spot> walk = PlaceProposal.of(layout, PlaceProposal.Density.CLOSE).stream()
                    .map(PlaceProposal.Place::spot)
                    .toList();
            for (int read = 1; read <= walk.size(); read++) {
                Points points = shaped(0, 0, 0).read(walk.subList(0, read), 0, 1);
                Cover cover = Cover.of(points, layout.askedLand());
                for (int k = 0; k < 200; k++) {
                    int i = random.nextInt(grid.columns());
                    int j = random.nextInt(grid.rows());
                    Spot spot = new Spot(grid.x(i), grid.y(j));
                    if (coarse.isLand(grid, i, j)) {
                        double nearest = walk.subList(0, read).stream()
                                .mapToDouble(w -> w.distance(spot))
                                .min()
                                .orElseThrow();
                        assertTrue(nearest <= cover.distance() + 1e-6, n + " bores, " + read + " read");
                    }
                }
            }
        }
    }

    @Test
    void badInputIsToldInSentences() {
        record Bad(double[][] rows, String words) {}
        List<Bad> all = List.of(
                new Bad(new double[][] {{0, 0, 0}, {1, 0, 0}, {0, 1, 0}}, "at least four points; there are 3"),
                new Bad(new double[][] {{0, 0, 0}, {1, 1, 3}, {2, 2, 0}, {3, 3, 1}}, "on one line"),
                new Bad(
                        new double[][] {{0, 0, 0}, {1, 0, 0}, {0, 1, 0}, {1, 0, 0.1}},
                        "points[3] is the same place as points[1]"),
                new Bad(
                        new double[][] {{0, 0, 0}, {1, 0, 1e308}, {0, 1, -1e308}, {1, 1, 0}},
                        "points[1] is too far away"));
        for (Bad bad : all) {
            BadInputException e = assertThrows(
                    BadInputException.class,
                    () -> Flatness.of(Points.of(bad.rows()), FlatnessSettings.over(new Box(0, 0, 1, 1))));
            assertTrue(English.of(e.sentence()).contains(bad.words()), English.of(e.sentence()));
        }
        assertThrows(IllegalArgumentException.class, () -> Points.of(new double[][] {{0, Double.NaN, 0}}));
    }

    @ParameterizedTest
    @EnumSource(PlaceProposal.Density.class)
    void proposedPlacesStandOnMetal(PlaceProposal.Density density) {
        for (int n = 1; n <= 8; n++) {
            for (PartKind kind : PartKind.values()) {
                Layout layout = Layout.of(LayoutNumbers.proposed(kind, n, Length.ofMm("80"), Length.ofMm("90")));
                List<PlaceProposal.Place> places = PlaceProposal.of(layout, density);
                assertTrue(places.size() >= 4 && places.size() <= 60, n + " cylinders: " + places.size());
                assertTrue(places.stream().allMatch(p -> LandRaster.clear(layout, p.spot(), 2.4)));
                assertEquals(
                        places.size(),
                        places.stream()
                                .map(PlaceProposal.Place::spot)
                                .distinct()
                                .count());
            }
        }
    }

    /** The contour of a known surface lies where that surface has its level, and the map is exact at the points. */
    @ParameterizedTest
    @ValueSource(doubles = {0.01, 0.04})
    void contoursLieWhereTheSurfaceHasTheirLevel(double level) {
        SeededFace face = new SeededFace(FOUR.box(), 0, 0, 0.06, 0.01, 0.02, List.of());
        Points points = survey(face, PlaceProposal.Density.CLOSE);
        FaceMap map = FaceMap.of(points, Plane.LEVEL, LandRaster.of(FOUR, 120)).orElseThrow();
        for (int i = 0; i < points.size(); i++) {
            assertEquals(points.z(i), map.above(points.x(i), points.y(i)), 1e-9);
        }
        var grid = map.heights();
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                grid.set(i, j, face.at(grid.x(i), grid.y(j)));
            }
        }
        int checked = 0;
        for (double[] ring : Contours.atOrAbove(grid, level).get(0)) {
            for (int k = 0; k < ring.length; k += 2) {
                boolean onBorder = ring[k] <= grid.x(0)
                        || ring[k] >= grid.x(grid.columns() - 1)
                        || ring[k + 1] <= grid.y(0)
                        || ring[k + 1] >= grid.y(grid.rows() - 1);
                if (!onBorder) {
                    assertEquals(level, face.at(ring[k], ring[k + 1]), 2e-5);
                    checked++;
                }
            }
        }
        assertTrue(checked > 60);
    }

    @Test
    void theMapNeverOvershootsByMoreThanATenth() {
        Points spike = Points.of(
                new double[][] {{10, 10, 0}, {400, 10, 0}, {10, 140, 0}, {400, 140, 0}, {200, 75, 0.1}, {206, 75, 0}});
        FaceMap map = FaceMap.of(spike, Plane.LEVEL, LandRaster.of(FOUR, 120)).orElseThrow();
        var grid = map.heights();
        for (int j = 0; j < grid.rows(); j++) {
            for (int i = 0; i < grid.columns(); i++) {
                assertTrue(grid.get(i, j) >= -0.01 - 1e-12 && grid.get(i, j) <= 0.11 + 1e-12);
            }
        }
        double all = map.share(grid, -0.02);
        double half = map.share(grid, 0.03);
        assertEquals(1, all);
        assertTrue(half > 0 && half < all);
    }

    @Test
    void theStrongestSourceGivesTheLimitAndDefaultsFillTheRest() {
        FlatnessLimit shop = FlatnessLimit.overall(Length.ofMm("0.04"), Source.SHOP);
        FlatnessLimit maker = FlatnessLimit.overall(Length.ofMm("0.08"), Source.MAKER);
        FlatnessLimit window = FlatnessLimit.inAny(Length.ofMm("150"), Length.ofMm("0.03"), Source.GASKET);
        List<FlatnessLimit> inForce =
                FaceDefaults.of(BenchUnit.MM).inForce(List.of(shop, maker, window), Optional.empty(), 4);
        assertEquals(List.of(maker, FlatnessLimit.across(Length.ofMm("0.04"), Source.DEFAULT), window), inForce);
        assertEquals(
                FaceDefaults.of(BenchUnit.MM).limits(4),
                FaceDefaults.of(BenchUnit.MM).inForce(List.of(), Optional.empty(), 4));
    }

    @Test
    void aLayoutThatCannotBeDrawnSaysAllThatIsWrong() {
        Length bore = Length.ofMm("90");
        BadInputException e = assertThrows(
                BadInputException.class,
                () -> new LayoutNumbers(
                        9,
                        1,
                        1,
                        bore,
                        Length.ofMm("80"),
                        Length.ofMm("100"),
                        Length.ofMm("50"),
                        BoltRows.TWO,
                        Length.ofMm("11"),
                        3,
                        homalon.core.part.ChamberShape.ROUND,
                        false));
        List<String> fields =
                e.problems().stream().map(BadInputException.Problem::field).toList();
        assertEquals(List.of("cylinders", "waterHoles", "spacing", "length", "width"), fields);
        assertEquals(
                OptionalDouble.empty(),
                BoreFlatness.of(Points.of(new double[][] {{0, 0, 0}}), new Spot(0, 0), 90, 12, 0)
                        .zone());
        assertEquals(
                Optional.empty(),
                FaceMap.of(Points.of(new double[][] {{0, 0, 0}}), Plane.LEVEL, LandRaster.of(FOUR, 30)));
    }
}
