package homalon.core.face;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.FaceJudge.Judgement;
import homalon.core.face.FaceJudge.Settings;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sim.SeededFace;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleBinaryOperator;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each kind of limit against faces whose figures are known. */
class FaceJudgeTest {
    private static final Layout LAYOUT =
            Layout.of(LayoutNumbers.proposed(PartKind.DECK, 3, Length.ofMm("80"), Length.ofMm("95")));
    private static final double LENGTH = LAYOUT.box().width();
    private static final double WIDTH = LAYOUT.box().height();

    private static FlatnessLimit limit(String scope, String most) {
        Length mm = Length.ofMm(most);
        return switch (scope) {
            case "OVERALL" -> FlatnessLimit.overall(mm, Source.MAKER);
            case "ALONG" -> FlatnessLimit.along(mm, Source.MAKER);
            case "ACROSS" -> FlatnessLimit.across(mm, Source.MAKER);
            case "BORE" -> FlatnessLimit.aroundBores(mm, Source.MAKER);
            default -> FlatnessLimit.inAny(Length.ofMm(scope), mm, Source.MAKER);
        };
    }

    /** A grid over the whole outline, columns by rows. */
    private static Points grid(int columns, int rows, DoubleBinaryOperator z) {
        double[][] all = new double[columns * rows][];
        for (int i = 0; i < columns; i++) {
            for (int j = 0; j < rows; j++) {
                double x = LENGTH * i / (columns - 1);
                double y = WIDTH * j / (rows - 1);
                all[i * rows + j] = new double[] {x, y, z.applyAsDouble(x, y)};
            }
        }
        return Points.of(all);
    }

    private static Judgement judge(Points points, double uncertainty, FlatnessLimit... limits) {
        return FaceJudge.judge(
                points,
                Collections.nCopies(points.size(), "place"),
                new Settings(LAYOUT, List.of(limits), 75, uncertainty));
    }

    private static DoubleBinaryOperator bow(double along, double across) {
        return (x, y) -> {
            double u = 2 * x / LENGTH - 1;
            double v = 2 * y / WIDTH - 1;
            return along * u * u + across * v * v;
        };
    }

    private static String said(Working working) {
        return working.lines().stream().map(English::of).collect(Collectors.joining("; "));
    }

    /**
     * A grid of nine by five, bowed by 0.06 along and 0.02 across: 0.08 in all, rows of 0.06 along and 0.02 across. The instrument
     * leaves 0.002 open on both sides of the limit.
     */
    @ParameterizedTest
    @CsvSource({
        "OVERALL, 0.082, WITHIN, 0.08",
        "OVERALL, 0.081, NOT_PROVEN, 0.08",
        "OVERALL, 0.079, NOT_PROVEN, 0.08",
        "OVERALL, 0.077, OUT, 0.08",
        "ALONG, 0.062, WITHIN, 0.06",
        "ALONG, 0.061, NOT_PROVEN, 0.06",
        "ALONG, 0.057, OUT, 0.06",
        "ACROSS, 0.022, WITHIN, 0.02",
        "ACROSS, 0.021, NOT_PROVEN, 0.02",
        "ACROSS, 0.017, OUT, 0.02"
    })
    void aBowAgainstItsLimits(String scope, String most, Verdict verdict, double value) {
        Judgement j = judge(grid(9, 5, bow(0.06, 0.02)), 0.002, limit(scope, most));
        LimitVerdict v = j.limits().get(0);
        assertEquals(verdict, v.verdict(), English.of(v.why()));
        assertEquals(value, v.value().orElseThrow(), 1e-6);
        assertEquals(value - Double.parseDouble(most), v.over().orElseThrow(), 1e-6);
        assertEquals(verdict, j.worst());
        assertEquals(
                verdict == Verdict.NOT_PROVEN
                        ? "Closer to the limit than the instrument can tell: read again with a finer one."
                        : "",
                English.of(v.why()));
        assertTrue(v.next().isEmpty(), "reading elsewhere helps nothing");
    }

    /** Of several limits the worst stands for the face; without any nothing is within. */
    @Test
    void theWorstOfAllLimitsStands() {
        Points p = grid(9, 5, bow(0.06, 0.02));
        assertEquals(
                Verdict.OUT,
                judge(p, 0, limit("ALONG", "0.05"), limit("OVERALL", "0.1")).worst());
        assertEquals(
                Verdict.OUT,
                judge(p, 0, limit("OVERALL", "0.1"), limit("ALONG", "0.05")).worst());
        assertEquals(
                Verdict.NOT_PROVEN,
                judge(p, 0.002, limit("OVERALL", "0.081"), limit("ALONG", "0.07"))
                        .worst());
        assertEquals(
                Verdict.NOT_PROVEN,
                judge(p, 0.002, limit("ALONG", "0.07"), limit("OVERALL", "0.081"))
                        .worst());
        assertEquals(
                Verdict.OUT,
                judge(p, 0.002, limit("OVERALL", "0.081"), limit("ALONG", "0.05"))
                        .worst());
        assertEquals(
                Verdict.WITHIN,
                judge(p, 0, limit("OVERALL", "0.1"), limit("ALONG", "0.1")).worst());
        assertEquals(Verdict.NOT_PROVEN, judge(p, 0).worst());
    }

    /** Places along two edges say nothing of what lies between: near the land that is furthest off one reads next. */
    @Test
    void landThatIsNotReadIsNotWithin() {
        Points edges = grid(9, 2, (x, y) -> 0);
        Settings settings = new Settings(LAYOUT, List.of(limit("OVERALL", "0.05")), 30, 0);
        LimitVerdict v = FaceJudge.judge(edges, Collections.nCopies(18, "place"), settings)
                .limits()
                .get(0);
        assertEquals(Verdict.NOT_PROVEN, v.verdict());
        assertTrue(English.of(v.why()).startsWith("Land is left unmeasured near: "), English.of(v.why()));
        Spot next = v.next().orElseThrow();
        assertTrue(next.y() > 30 && next.y() < WIDTH - 30, next.toString());
        // With a wider cover it is the cross bow that two rows leave open.
        LimitVerdict open = judge(edges, 0, limit("OVERALL", "0.05")).limits().get(0);
        assertEquals(Verdict.NOT_PROVEN, open.verdict());
        assertTrue(English.of(open.why()).startsWith("These places leave open: "), English.of(open.why()));
        Spot between = open.next().orElseThrow();
        assertTrue(between.y() > 5 && between.y() < WIDTH - 5, between.toString());
    }

    @Test
    void rowsThatAreNotThereProveNothing() {
        // Two columns: every row along holds two places, and no straightness.
        Points p = Points.of(new double[][] {
            {20, 10, 0}, {20, 70, 0}, {20, 130, 0}, {250, 10, 0}, {250, 70, 0}, {250, 130, 0}, {140, 20, 0}
        });
        Settings settings = new Settings(LAYOUT, List.of(limit("ALONG", "0.05")), 500, 0);
        LimitVerdict v = FaceJudge.judge(p, Collections.nCopies(7, "place"), settings)
                .limits()
                .get(0);
        assertEquals(Verdict.NOT_PROVEN, v.verdict());
        assertEquals("Fewer than two rows hold three places: measure more along.", English.of(v.why()));
        assertTrue(v.value().isEmpty() && v.over().isEmpty());
        assertTrue(said(v.working()).startsWith("No row holds three places"), said(v.working()));
        assertTrue(v.next().isPresent());
    }

    /** A step of 0.03 between two halves: a square over the step sees it, one beside it does not. */
    @ParameterizedTest
    @CsvSource({
        // side, most, verdict
        "60, 0.031, WITHIN",
        "60, 0.019, OUT",
        "400, 0.020, OUT",
        "20, 0.020, NOT_PROVEN"
    })
    void squares(String side, String most, Verdict verdict) {
        Points p = grid(17, 9, (x, y) -> x < LENGTH / 2 ? 0 : 0.03);
        LimitVerdict v = judge(p, 0, limit(side, most)).limits().get(0);
        assertEquals(verdict, v.verdict(), English.of(v.why()) + said(v.working()));
        assertEquals(
                verdict == Verdict.NOT_PROVEN
                        ? "For the limit in any square, some squares hold fewer than four places: measure closer"
                                + " together."
                        : "",
                English.of(v.why()));
    }

    /** A face whose zone is inside the limit has no square that is not, however few places it holds. */
    @Test
    void aFaceThatIsWithinHasNoSquareThatIsOut() {
        LimitVerdict v = judge(grid(9, 5, bow(0.006, 0.002)), 0.002, limit("20", "0.010"))
                .limits()
                .get(0);
        assertEquals(Verdict.WITHIN, v.verdict());
        assertEquals(0.008, v.value().orElseThrow(), 1e-6);
        assertTrue(said(v.working()).contains("The whole face has a zone of 0.008, so no square of it has more"));
        assertTrue(said(v.working()).contains("No square of side 20.000 holds four measured places"));
        LimitVerdict over = judge(grid(9, 5, bow(0.006, 0.002)), 0.002, limit("20", "0.0099"))
                .limits()
                .get(0);
        assertEquals(Verdict.NOT_PROVEN, over.verdict(), "the instrument leaves 0.002 open");
        assertEquals(OptionalDouble.empty(), over.value());
    }

    @Test
    void ringsAroundBores() {
        Spot two = LAYOUT.bores().get(1).centre();
        SeededFace dent = new SeededFace(
                LAYOUT.box(), 0, 0, 0, 0, 0, List.of(new SeededFace.Dip(new Spot(two.x(), two.y() + 45), 0.08, 12)));
        List<Spot> around = new ArrayList<>();
        for (Layout.Bore b : LAYOUT.bores()) {
            for (int k = 0; k < 16; k++) {
                double a = Math.PI * k / 8;
                around.add(
                        new Spot(b.centre().x() + 45 * Math.cos(a), b.centre().y() + 45 * Math.sin(a)));
            }
        }
        LimitVerdict v = judge(dent.read(around, 0, 1), 0, limit("BORE", "0.05"))
                .limits()
                .get(0);
        assertEquals(Verdict.OUT, v.verdict());
        assertTrue(v.value().orElseThrow() > 0.05);
        assertTrue(said(v.working()).contains("Bore 1: 17 places, minimum zone 0.000"), said(v.working()));
        Points some = dent.read(around.subList(0, 19), 0, 1);
        LimitVerdict few = judge(some, 0, limit("BORE", "0.5")).limits().get(0);
        assertEquals(Verdict.NOT_PROVEN, few.verdict());
        assertTrue(said(few.working()).contains("places; four are needed"), said(few.working()));
    }

    @Test
    void theWorkingNamesWhatThePlanesTouch() {
        Points p = grid(9, 5, bow(0.06, 0.02));
        List<String> names = new ArrayList<>();
        for (int i = 0; i < p.size(); i++) {
            names.add("place " + (i + 1));
        }
        LimitVerdict v = FaceJudge.judge(p, names, new Settings(LAYOUT, List.of(limit("OVERALL", "0.05")), 75, 0.002))
                .limits()
                .get(0);
        String said = said(v.working());
        assertTrue(said.contains("Lower plane touches place 23, read 0.000"), said);
        assertTrue(said.contains("Upper plane touches place "), said);
        assertTrue(said.contains("Distance between them, square to them: 0.080"), said);
        assertTrue(said.contains("Instrument's uncertainty kept on both sides of the limit: 0.002"), said);
        Points tilted = grid(9, 5, (x, y) -> bow(0.06, 0.02).applyAsDouble(x, y) + 0.1 * x / LENGTH - 0.05 * y / WIDTH);
        String rises =
                said(judge(tilted, 0, limit("OVERALL", "0.05")).limits().get(0).working());
        assertTrue(rises.contains("The planes rise 0.100 along the face and -0.050 across it"), rises);
    }

    /** A scan's squares are bounded from both sides. */
    @ParameterizedTest
    @CsvSource({"0.007, OUT", "0.100, WITHIN", "0.0105, NOT_PROVEN"})
    void aScansSquares(String most, Verdict verdict) {
        // A bow of 0.08 along: a square of 100 sees a share of it, a larger one a little more.
        Points scan = grid(300, 150, bow(0.08, 0));
        LimitVerdict v = FaceJudge.judgeCloud(scan, new Settings(LAYOUT, List.of(limit("100", most)), 75, 0.001))
                .limits()
                .get(0);
        assertEquals(verdict, v.verdict(), said(v.working()));
        assertEquals(
                verdict == Verdict.NOT_PROVEN
                        ? "Close to the limit in some square: between the squares tried it may be over."
                        : "",
                English.of(v.why()));
        // Over 100 of the length a parabola leaves 0.08 (100 / L)^2.
        assertEquals(0.08 * Math.pow(100 / LENGTH, 2), v.value().orElseThrow(), 5e-4);
        assertTrue(said(v.working()).startsWith("Squares of side 100.000 a quarter of it apart"), said(v.working()));
    }

    /** The scanner's own uncertainty is kept on both sides of the limit. */
    @Test
    void aScansSquaresLeaveTheScannerItsUncertainty() {
        Points scan = grid(300, 150, bow(0.08, 0));
        WindowBounds.Bounds b = WindowBounds.of(scan, LAYOUT.box(), 100);
        double open = 0.001;
        assertEquals(Verdict.WITHIN, ofSquares(scan, open, b.most() + open + 1e-6));
        assertEquals(Verdict.NOT_PROVEN, ofSquares(scan, open, b.most() + open - 1e-5));
        assertEquals(Verdict.NOT_PROVEN, ofSquares(scan, open, b.least() - open + 1e-5));
        assertEquals(Verdict.OUT, ofSquares(scan, open, b.least() - open - 1e-5));
    }

    private static Verdict ofSquares(Points scan, double uncertainty, double most) {
        FlatnessLimit limit = FlatnessLimit.inAny(Length.ofMm("100"), Length.roundedFromMm(most), Source.MAKER);
        return FaceJudge.judgeCloud(scan, new Settings(LAYOUT, List.of(limit), 75, uncertainty))
                .limits()
                .get(0)
                .verdict();
    }

    /** One row of three places says how straight the face is there, not elsewhere; two rows do. */
    @ParameterizedTest
    @CsvSource({"false, NOT_PROVEN", "true, WITHIN"})
    void oneRowIsNotTheFace(boolean second, Verdict verdict) {
        List<double[]> rows = new ArrayList<>();
        for (int i = 0; i <= 4; i++) {
            rows.add(new double[] {LENGTH * i / 4, WIDTH / 2, 0});
        }
        for (int i = 0; i <= 4; i += second ? 1 : 4) {
            rows.add(new double[] {LENGTH * i / 4, 0, 0});
        }
        rows.add(new double[] {0, WIDTH, 0});
        rows.add(new double[] {LENGTH, WIDTH, 0});
        Points points = Points.of(rows.toArray(double[][]::new));
        LimitVerdict v = FaceJudge.judge(
                        points,
                        Collections.nCopies(points.size(), "place"),
                        new Settings(LAYOUT, List.of(limit("ALONG", "0.05")), 500, 0))
                .limits()
                .get(0);
        assertEquals(verdict, v.verdict(), English.of(v.why()));
        assertEquals(second ? "" : "Fewer than two rows hold three places: measure more along.", English.of(v.why()));
    }

    /** A limit still counts as kept; a hair less is out. */
    @ParameterizedTest
    @CsvSource({
        "OVERALL, 0.08, WITHIN",
        "OVERALL, 0.0799, OUT",
        "ALONG, 0.06, WITHIN",
        "ALONG, 0.0599, OUT",
        "ACROSS, 0.02, WITHIN",
        "ACROSS, 0.0199, OUT"
    })
    void aLimitStillCountsAsKept(String scope, String most, Verdict verdict) {
        assertEquals(
                verdict,
                judge(grid(9, 5, bow(0.06, 0.02)), 0, limit(scope, most)).worst());
    }

    @Test
    void aScanWithAHoleInItIsNotWithin() {
        List<double[]> rows = new ArrayList<>();
        Points all = grid(300, 150, (x, y) -> 0);
        for (int i = 0; i < all.size(); i++) {
            if (all.x(i) > 110 || all.y(i) > 110) {
                rows.add(new double[] {all.x(i), all.y(i), 0});
            }
        }
        LimitVerdict v = FaceJudge.judgeCloud(
                        Points.of(rows.toArray(double[][]::new)),
                        new Settings(LAYOUT, List.of(limit("100", "0.05")), 75, 0))
                .limits()
                .get(0);
        assertEquals(Verdict.NOT_PROVEN, v.verdict());
        assertEquals("Some squares hold fewer than four points: scan what is missing.", English.of(v.why()));
    }

    /** Rows of a scan are looked at in a part of its points, and tell the same. */
    @Test
    void aScansRows() {
        Points scan = grid(400, 120, bow(0.06, 0.02));
        Judgement j = FaceJudge.judgeCloud(
                scan, new Settings(LAYOUT, List.of(limit("ALONG", "0.05"), limit("ACROSS", "0.05")), 75, 0.001));
        assertEquals(Verdict.OUT, j.limits().get(0).verdict());
        assertEquals(0.06, j.limits().get(0).value().orElseThrow(), 3e-3);
        assertEquals(Verdict.WITHIN, j.limits().get(1).verdict());
        assertEquals(0.02, j.limits().get(1).value().orElseThrow(), 5e-3);
    }
}
