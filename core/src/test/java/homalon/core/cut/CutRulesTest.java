package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertDoesNotThrow;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.PassPlan.Depths;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits and small rules around a cut. */
class CutRulesTest {
    private static Length mm(String of) {
        return Length.ofMm(of);
    }

    private static final Depths DEPTHS = new Depths(mm("0.01"), mm("0.05"), mm("0.02"));

    private static CutPlan plan(String toClean) {
        return new CutPlan(
                SetUpMethod.LEAST_REMOVAL,
                List.of(mm("0.1"), Length.ZERO),
                Supports.usual(new Box(0, 0, 412, 150), ShimStock.inSteps(mm("0.01"))),
                mm(toClean),
                Length.ZERO,
                DEPTHS,
                PassPlan.toClean(mm(toClean).mm(), DEPTHS, mm("0.01")),
                false);
    }

    /** All but the finish pass is the reference cut; what is cut in one go has none. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {"0.15, 5, 0.13", "0.03, 2, 0.01", "0.01, 2, 0.01"})
    void aReferenceCutLeavesTheFinishPass(String toClean, int passes, String reference) {
        CutPlan p = plan(toClean);
        assertEquals(passes, p.passes().passes().size());
        assertEquals(Optional.empty(), p.reference());
        CutPlan staged = p.finishedLast(true);
        assertEquals(Optional.of(mm(reference)), staged.reference());
        assertEquals(Optional.empty(), staged.finishedLast(false).reference());
        assertEquals(p, staged.finishedLast(false), "nothing else changes");
    }

    @Test
    void onePassHasNoStages() {
        Depths bare = new Depths(Length.ZERO, mm("0.05"), mm("0.02"));
        PassPlan one = PassPlan.toClean(0.02, bare, mm("0.01"));
        assertEquals(List.of("Finish"), names(one));
        CutPlan staged = plan("0.15").finishedLast(true);
        CutPlan together = staged.cutInPasses(bare, one);
        assertEquals(Optional.empty(), together.reference());
        assertEquals(bare, together.depths());
        assertSame(one, together.passes());
        PassPlan two = PassPlan.toClean(0.05, bare, mm("0.01"));
        assertEquals(Optional.of(mm("0.03")), staged.cutInPasses(bare, two).reference());
        assertEquals(Optional.empty(), plan("0.15").cutInPasses(bare, two).reference());
    }

    private static List<String> names(PassPlan p) {
        return IntStream.range(0, p.passes().size())
                .mapToObj(it -> English.of(p.name(it)))
                .toList();
    }

    @Test
    void passesAreCalledByWhatTheyAreFor() {
        assertEquals(
                List.of("Skim", "Pass 1", "Pass 2", "Pass 3", "Finish"),
                names(plan("0.15").passes()));
    }

    @ParameterizedTest
    @CsvSource({"0, true", "10, true", "10.001, false", "-0.001, false"})
    void whatMayBeWantedOffInAll(String atLeast, boolean may) {
        Length of = mm(atLeast);
        if (may) {
            assertSame(of, CutPlan.checked(of));
        } else {
            assertThrows(BadInputException.class, () -> CutPlan.checked(of));
        }
    }

    @ParameterizedTest
    @CsvSource({
        // skim, deepest, finish
        "0, 0.05, 0.02, true",
        "2, 2, 2, true",
        "2.001, 2, 2, false",
        "0.01, 2.001, 2, false",
        "0.01, 0, 0.02, false",
        "0.01, 0.05, 0, false",
        "-0.01, 0.05, 0.02, false",
        "0.01, 0.05, 2.001, false"
    })
    void howDeepAPassMayBe(String skim, String deepest, String finish, boolean may) {
        if (may) {
            assertDoesNotThrow(() -> new Depths(mm(skim), mm(deepest), mm(finish)));
        } else {
            assertThrows(BadInputException.class, () -> new Depths(mm(skim), mm(deepest), mm(finish)));
        }
    }

    /** Skim 0.01 and finish 0.02 where less may come off than both: the finish keeps what there is. */
    @ParameterizedTest
    @CsvSource({
        // needed, may come off, skim, finish
        "0.005, 0.03,  0.01, 0.02",
        "0.005, 0.029, 0.00, 0.02",
        "0.005, 0.02,  0.00, 0.02",
        "0.005, 0.015, 0.00, 0.01",
        "0.010, 0.010, 0.00, 0.01",
        // The face needs more than that, or nothing may come off: nothing is shrunk.
        "0.011, 0.010, 0.01, 0.02",
        "0.000, 0.009, 0.01, 0.02",
        "0.005, 1e9,   0.01, 0.02"
    })
    void passesShrinkToWhatMayComeOff(double needed, double most, String skim, String finish) {
        Depths fitted = DEPTHS.fitted(needed, most, mm("0.01"));
        assertEquals(mm(skim), fitted.skim());
        assertEquals(mm(finish), fitted.finish());
        assertEquals(mm("0.05"), fitted.deepest());
    }

    /** The dial has whole steps: the skim takes what the finish leaves of them. */
    @Test
    void theSkimKeepsWhatTheFinishLeaves() {
        Depths deep = new Depths(mm("0.03"), mm("0.05"), mm("0.02"));
        assertEquals(mm("0.02"), deep.fitted(0.01, 0.049, mm("0.01")).skim());
        assertEquals(mm("0.02"), deep.fitted(0.01, 0.049, mm("0.01")).finish());
        assertEquals(mm("0.024"), deep.fitted(0.01, 0.0449, mm("0.001")).skim());
    }

    @ParameterizedTest
    @CsvSource({"0, 0, true", "10, 10, true", "10.01, 0, false", "0, 10.01, false", "-0.01, 0, false", "0, -0.01, false"
    })
    void whatMayBeThoughtOf(double cut, double other, boolean may) {
        Runnable made =
                () -> new WhatIf(cut, other, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
        if (may) {
            assertDoesNotThrow(made::run);
        } else {
            assertThrows(BadInputException.class, made::run);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "0.05, 20, 2000, true",
        "10, -20, -2000, true",
        "0.049, 0, 0, false",
        "10.01, 0, 0, false",
        "1, 20.01, 0, false",
        "1, -20.01, 0, false",
        "1, 0, 2001, false",
        "1, 0, -2001, false"
    })
    void whatMayBeFittedInstead(double gasket, double deck, double crown, boolean may) {
        Runnable made =
                () -> new WhatIf(0, 0, OptionalDouble.of(gasket), OptionalDouble.of(deck), OptionalDouble.of(crown));
        if (may) {
            assertDoesNotThrow(made::run);
        } else {
            assertThrows(BadInputException.class, made::run);
        }
    }

    /** Three places of a rim at 0, 0.03 and 0.06 below first touch: touched one after the other. */
    @ParameterizedTest
    @CsvSource({"0, 0", "0.015, 0.005", "0.03, 0.01", "0.045, 0.02", "0.06, 0.03", "0.09, 0.06"})
    void whatACutTakesOverARim(double total, double mean) {
        List<double[]> below = new ArrayList<>();
        below.add(new double[] {0.06, -0.01, 0.03});
        below.add(new double[] {0});
        RimDepths rims = RimDepths.of(below);
        assertEquals(mean, rims.taken(0, total), 1e-12);
        assertEquals(total, rims.taken(1, total), 1e-12);
        assertEquals(mean == 0 ? 0 : total, rims.totalFor(0, mean), 1e-12);
        assertEquals(2, rims.bores());
        assertEquals(1, rims.of(1).bores());
        assertEquals(total, rims.of(1).taken(0, total), 1e-12);
        assertEquals(3, RimDepths.level(3).bores());
        assertEquals(total, RimDepths.level(3).taken(2, total), 1e-12);
    }

    @Test
    void whatRoundingShimsCosts() {
        SetUp s = new SetUp(SetUpMethod.AVERAGE, Plane.LEVEL, 0.10, List.of(0.0), Plane.LEVEL, 0.13, 0.02, List.of());
        assertEquals(0.03, s.costOfRounding(), 1e-12);
        assertEquals(0.15, s.toClean(), 1e-12);
        SetUp on = s.onMap(0.01, 0.04);
        assertEquals(0.14, on.depth(), 1e-12);
        assertEquals(0.17, on.depthWithShims(), 1e-12);
        assertEquals(0.03, on.firstTouch(), 1e-12);
        assertEquals(0.03, on.costOfRounding(), 1e-12);
    }

    private static Supports on(double... xy) {
        List<Spot> spots = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            spots.add(new Spot(xy[i], xy[i + 1]));
        }
        return new Supports(spots, ShimStock.inSteps(mm("0.01")));
    }

    private static final Box BOX = new Box(0, 0, 400, 150);

    @Test
    void whereACastingStands() {
        assertDoesNotThrow(() -> on(0, 0, 400, 0, 200, 150).checked(BOX), "on the very edge");
        assertDoesNotThrow(() -> on(0, 0, 400, 0, 200, 15).checked(BOX), "15 off the line is steady");
        assertThrows(BadInputException.class, () -> on(0, 0, 400, 0, 200, 14.9).checked(BOX));
        assertThrows(BadInputException.class, () -> on(0, 0, 400, 0).checked(BOX));
        assertThrows(
                BadInputException.class, () -> on(-0.1, 0, 400, 0, 200, 150).checked(BOX));
        assertThrows(BadInputException.class, () -> on(0, 0, 400.1, 0, 200, 150).checked(BOX));
        assertThrows(
                BadInputException.class, () -> on(0, -0.1, 400, 0, 200, 150).checked(BOX));
        assertThrows(BadInputException.class, () -> on(0, 0, 400, 0, 200, 150.1).checked(BOX));
        assertDoesNotThrow(
                () -> on(0, 0, 400, 0, 200, 150, 0, 150, 400, 150, 200, 0).checked(BOX));
        assertThrows(
                BadInputException.class,
                () -> on(0, 0, 400, 0, 200, 150, 0, 150, 400, 150, 200, 0, 100, 100)
                        .checked(BOX));
        // A thin triangle that leans: its least height counts, whichever side is the longest.
        assertThrows(BadInputException.class, () -> on(0, 0, 200, 80, 400, 140).checked(BOX));
        assertDoesNotThrow(() -> on(0, 0, 200, 100, 400, 140).checked(BOX));
    }

    /** A triangle with its corners at the front edge and the middle of the back one, either way round. */
    @ParameterizedTest
    @CsvSource({
        "200, 75, false",
        "200, 0, false",
        "0, 0, false",
        "200, 150, false",
        "10, 75, true",
        "390, 75, true",
        "200, -1, true",
        "200, 151, true"
    })
    void whereTheWeightTips(double x, double y, boolean tips) {
        assertEquals(tips, on(0, 0, 400, 0, 200, 150).tips(new Spot(x, y)));
        assertEquals(tips, on(0, 0, 200, 150, 400, 0).tips(new Spot(x, y)));
        // A second support at the same place, and one on the line, carry nothing.
        assertEquals(tips, on(0, 0, 0, 0, 400, 0, 200, 0, 200, 150).tips(new Spot(x, y)));
        assertArrayEquals(
                new int[] {0, 2, 4}, on(0, 0, 0, 0, 400, 0, 200, 0, 200, 150).carrying());
    }

    @Test
    void theUsualSupportsStandInsideBothEdges() {
        List<Spot> wide = Supports.usual(BOX, ShimStock.inSteps(mm("0.01"))).supports();
        assertEquals(List.of(new Spot(25, 25), new Spot(375, 25), new Spot(200, 125)), wide);
        List<Spot> narrow = Supports.usual(new Box(10, 20, 110, 120), ShimStock.inSteps(mm("0.01")))
                .supports();
        assertEquals(List.of(new Spot(28, 38), new Spot(92, 38), new Spot(60, 102)), narrow);
    }

    /** What the tool and the table say must be numbers; the sentence names each that is not. */
    @Test
    void eachFigureOfAFinishIsAsked() {
        Finish.Spindle none = Finish.Spindle.NONE;
        OptionalDouble no = OptionalDouble.empty();
        for (Runnable wrong : List.<Runnable>of(
                () -> Finish.ofFeed(0, 0.2, none, Finish.Run.NONE),
                () -> Finish.ofFeed(6, 0, none, Finish.Run.NONE),
                () -> Finish.ofFeed(Double.NaN, 0.2, none, Finish.Run.NONE),
                () -> Finish.ofRa(6, 0, none, Finish.Run.NONE),
                () -> Finish.ofRa(6, Double.POSITIVE_INFINITY, none, Finish.Run.NONE),
                () -> Finish.ofRa(-1, 0.8, none, Finish.Run.NONE),
                () -> Finish.ofFeed(6, 0.2, new Finish.Spindle(OptionalDouble.of(0), no, no), Finish.Run.NONE),
                () -> Finish.ofFeed(6, 0.2, new Finish.Spindle(no, OptionalDouble.of(0), no), Finish.Run.NONE),
                () -> Finish.ofFeed(6, 0.2, new Finish.Spindle(no, no, OptionalDouble.of(0)), Finish.Run.NONE),
                () -> Finish.ofFeed(6, 0.2, none, new Finish.Run(OptionalDouble.of(0), 0)),
                () -> Finish.ofFeed(6, 0.2, none, new Finish.Run(no, -1)))) {
            assertThrows(BadInputException.class, wrong::run);
        }
        assertTrue(Finish.ofFeed(6, 1.5, none, Finish.Run.NONE).holds(), "a quarter of the nose still holds");
        assertFalse(Finish.ofFeed(6, 1.51, none, Finish.Run.NONE).holds());
    }
}
