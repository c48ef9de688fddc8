package homalon.core.guides;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.catalogue.Item;
import homalon.core.guides.GuideFit.Answer;
import homalon.core.guides.Ladder.Helps;
import homalon.core.guides.Ladder.Rung;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Source;
import homalon.core.words.English;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Every rung of the ladder, which guides bite, and the figures that neither may stand on. */
class LadderTest {
    private static final BookDefaults PLAIN = BookDefaults.of(BenchUnit.MM);

    private static final GuideLimits LIMITS = new GuideLimits(0.03, 0.06, 0.10, 0.03, 0.03);

    private static Ladder ladder(double clearance, double least, double mouth, double oval, boolean oneEnd) {
        Guide guide =
                new Guide(least, clearance, 0, OptionalDouble.of(mouth), OptionalDouble.of(0), oval, false, 0, oneEnd);
        return Ladder.of(guide, 8, LIMITS, new Ladder.Shop(true, false, Ladder.Shop.USUAL_OVERSIZES), true);
    }

    /** Leaving it: within service, in shape, free, and read through; each limit still counts as kept. */
    @ParameterizedTest
    @CsvSource({
        "0.08, 0.04, 0.01, 0.01, false, YES, within",
        "0.10, 0.03, 0.03, 0.03, false, YES, within",
        "0.101, 0.04, 0.01, 0.01, false, NO, beyond the service",
        "0.08, 0.04, 0.031, 0.01, false, NO, mouth or ovality",
        "0.08, 0.04, 0.01, 0.031, false, NO, mouth or ovality",
        "0.08, 0.029, 0.01, 0.01, false, NO, tight somewhere",
        "0.08, 0.04, 0.01, 0.01, true, MEASURE, one end only",
        "0.12, 0.04, 0.01, 0.01, true, NO, one end only"
    })
    void leavingIt(double c, double least, double mouth, double oval, boolean oneEnd, Helps helps, String why) {
        Ladder.Step step = ladder(c, least, mouth, oval, oneEnd).rung(Rung.AS_IS);
        assertEquals(helps, step.helps());
        assertTrue(English.bare(step.why()).contains(why), English.bare(step.why()));
        assertTrue(step.ream().isEmpty());
        assertEquals(
                helps == Helps.MEASURE,
                ladder(c, least, mouth, oval, oneEnd).lowest().isEmpty());
    }

    /** A hone frees what is tight and takes burrs out of a good guide, wear never; five thousandths are all it takes. */
    @ParameterizedTest
    @CsvSource({
        "0.08, 0.026, 0.01, 0.01, YES, takes burrs, few",
        "0.08, 0.025, 0.01, 0.01, YES, takes burrs, few",
        "0.095, 0.026, 0.01, 0.01, YES, takes burrs, few",
        "0.096, 0.026, 0.01, 0.01, NO, not enough, ''",
        "0.08, 0.0249, 0.01, 0.01, NO, not enough, ''",
        "0.08, 0.04, 0.01, 0.01, YES, nothing is tight, burrs",
        "0.095, 0.04, 0.01, 0.01, YES, nothing is tight, burrs",
        "0.096, 0.04, 0.01, 0.01, NO, nothing is tight, service limit",
        "0.08, 0.04, 0.04, 0.01, NO, not wear, ''",
        "0.12, 0.026, 0.01, 0.01, NO, not wear, ''",
        "0.08, 0.026, 0.04, 0.01, NO, not wear, ''"
    })
    void honing(double c, double least, double mouth, double oval, Helps helps, String why, String more) {
        Ladder.Step step = ladder(c, least, mouth, oval, false).rung(Rung.HONE);
        assertEquals(helps, step.helps());
        assertTrue(
                English.bare(step.why()).contains(why)
                        && English.bare(step.why()).contains(more),
                English.bare(step.why()));
    }

    /** Knurling: no further than it can be raised, never for racing, and not where the shop refuses it. */
    @ParameterizedTest
    @CsvSource({
        "0.14, true, false, YES, short-lived",
        "0.15, true, false, YES, short-lived",
        "0.151, true, false, NO, too far to raise",
        "0.14, false, false, NO, refused by this shop",
        "0.14, true, true, NO, not for racing",
        "0.16, false, true, NO, refused by this shop"
    })
    void knurling(double clearance, boolean knurls, boolean racing, Helps helps, String why) {
        Guide worn = new Guide(0.05, clearance, 0, OptionalDouble.of(0), OptionalDouble.of(0), 0, false, 0, false);
        Ladder.Step step = Ladder.of(worn, 8, LIMITS, new Ladder.Shop(knurls, racing, List.of()), false)
                .rung(Rung.KNURL);
        assertEquals(helps, step.helps());
        assertTrue(English.bare(step.why()).contains(why), English.bare(step.why()));
        assertEquals(
                English.bare(step.why()).contains("{}") ? 1 : 0,
                English.lengths(step.why()).size());
        assertEquals(helps == Helps.YES ? 8.045 : Double.NaN, step.ream().orElse(Double.NaN), 1e-9);
    }

    /** The first oversize that leaves nothing of the worn place, and the sizes that are reamed to. */
    @ParameterizedTest
    @CsvSource({"0.11, 8.121", "0.116, 8.121", "0.1161, 8.172", "0.16, 8.172", "0.5, 8.545", "0.6, NaN"})
    void oversizes(double clearance, double ream) {
        Ladder.Step step = ladder(clearance, 0.05, 0, 0, false).rung(Rung.OVERSIZE);
        assertEquals(ream, step.ream().orElse(Double.NaN), 1e-9);
        assertEquals(Double.isNaN(ream) ? Helps.NO : Helps.YES, step.helps());
        assertEquals(
                8.045,
                ladder(clearance, 0.05, 0, 0, false).rung(Rung.LINER).ream().orElseThrow(),
                1e-9);
        assertEquals(
                8.045,
                ladder(clearance, 0.05, 0, 0, false).rung(Rung.REPLACE).ream().orElseThrow(),
                1e-9);
    }

    @Test
    void aHousingThatNobodyMeasuredIsMeasuredFirst() {
        Guide worn = new Guide(0.05, 0.2, 0, OptionalDouble.of(0), OptionalDouble.of(0), 0, false, 0, false);
        Ladder.Shop shop = new Ladder.Shop(true, false, List.of());
        Ladder.Step open = Ladder.of(worn, 8, LIMITS, shop, false).rung(Rung.REPLACE);
        assertEquals(Helps.MEASURE, open.helps());
        assertTrue(English.bare(open.why()).contains("before a guide is ordered"), English.bare(open.why()));
        assertEquals(
                Helps.YES,
                Ladder.of(worn, 8, LIMITS, shop, true).rung(Rung.REPLACE).helps());
    }

    @ParameterizedTest
    @CsvSource({"AS_IS, false", "HONE, false", "OVERSIZE, true", "KNURL, true", "LINER, true", "REPLACE, true"})
    void whatMovesTheAxis(Rung rung, boolean moves) {
        assertEquals(moves, rung.movesAxis());
    }

    private static Item guide(String code, double outer) {
        return new Item(code, Item.Kind.GUIDE, "", outer, 8, 50, Optional.empty(), OptionalDouble.empty());
    }

    /** Press of a guide in iron 0.02 to 0.05, in aluminium 0.03 to 0.06: each limit still sits, too near to tell, a hair beyond does not. */
    @ParameterizedTest
    @CsvSource({
        "CAST_IRON, 14.020, NEAR",
        "CAST_IRON, 14.024, BITES",
        "CAST_IRON, 14.050, NEAR",
        "CAST_IRON, 14.019, LOOSE",
        "CAST_IRON, 14.051, TIGHT",
        "CAST_IRON, 14.000, DROPS",
        "CAST_IRON, 14.001, LOOSE",
        "ALUMINIUM, 14.030, NEAR",
        "ALUMINIUM, 14.045, BITES",
        "ALUMINIUM, 14.060, NEAR",
        "ALUMINIUM, 14.029, LOOSE",
        "ALUMINIUM, 14.061, TIGHT"
    })
    void whichGuidesBite(Material casting, double outer, Answer answer) {
        GuideFit fit = GuideFit.of(14, casting, List.of(guide("G", outer)), PLAIN);
        assertEquals(answer, fit.each().get(0).answer());
        assertEquals(outer - 14, fit.each().get(0).press(), 1e-9);
        assertEquals(answer == Answer.TIGHT, fit.ream().isPresent(), "a larger one is reamed for, a smaller one never");
    }

    /** A shop that presses tighter has other guides that bite, and reams to another size. */
    @Test
    void theShopsOwnPress() {
        BookDefaults shop = new BookDefaults(
                BenchUnit.MM,
                Map.of(
                        "BENCH_GUIDE_PRESS_LEAST_IRON", new BookDefaults.Own(0.045, "our lathe"),
                        "BENCH_GUIDE_PRESS_MOST_IRON", new BookDefaults.Own(0.075, "our lathe")));
        GuideFit fit = GuideFit.of(14, Material.CAST_IRON, List.of(guide("G", 14.035), guide("H", 14.1)), shop);
        assertEquals(Answer.LOOSE, fit.each().get(0).answer());
        assertEquals(Source.SHOP_DEFAULT, fit.source());
        assertEquals(14.04, fit.ream().orElseThrow().size(), 1e-9);
        assertEquals(
                Answer.BITES,
                GuideFit.of(14, Material.CAST_IRON, List.of(guide("G", 14.06)), shop)
                        .each()
                        .get(0)
                        .answer());
        assertEquals(
                Answer.TIGHT,
                GuideFit.of(14, Material.CAST_IRON, List.of(guide("G", 14.06)), PLAIN)
                        .each()
                        .get(0)
                        .answer());
        assertEquals(0.03, GuideFit.of(14, Material.ALUMINIUM, List.of(), shop).least(), "aluminium is not theirs");
    }

    /** Of those that bite the one nearest to the middle comes first, of two alike the one first in the list's order. */
    @Test
    void theBestComesFirst() {
        GuideFit fit = GuideFit.of(
                14,
                Material.CAST_IRON,
                List.of(guide("C", 14.05), guide("B", 14.035), guide("A", 14.035), guide("D", 14.2)),
                PLAIN);
        assertEquals(
                List.of("A", "B", "C", "D"),
                fit.each().stream().map(o -> o.guide().code()).toList());
        assertTrue(fit.ream().isEmpty());
        GuideFit next = GuideFit.of(
                14, Material.CAST_IRON, List.of(guide("Z", 14.3), guide("Y", 14.1), guide("X", 14.1)), PLAIN);
        assertEquals("X", next.ream().orElseThrow().guide().code());
        assertEquals(14.1 - 0.035, next.ream().orElseThrow().size(), 1e-9);
        // One that is too small for any reaming is none.
        assertTrue(GuideFit.of(14, Material.CAST_IRON, List.of(guide("S", 14.015)), PLAIN)
                .ream()
                .isEmpty());
    }

    @ParameterizedTest
    @ValueSource(doubles = {4.99, 60.01, Double.NaN})
    void aHousingThatIsNone(double housing) {
        assertThrows(BadInputException.class, () -> GuideFit.of(housing, Material.CAST_IRON, List.of(), PLAIN));
    }

    @ParameterizedTest
    @ValueSource(doubles = {5, 60})
    void theSmallestAndTheLargestHousing(double housing) {
        assertTrue(GuideFit.of(housing, Material.CAST_IRON, List.of(), PLAIN)
                .each()
                .isEmpty());
    }

    /** What rocking may be keyed from: the ends of each range still count. */
    @ParameterizedTest
    @CsvSource({
        "0, 0, 5, true",
        "10, 300, 300, true",
        "-0.001, 10, 50, false",
        "10.001, 10, 50, false",
        "0.2, -0.001, 50, false",
        "0.2, 300.001, 50, false",
        "0.2, 10, 4.999, false",
        "0.2, 10, 300.001, false"
    })
    void whatMayBeRocked(double play, double reach, double length, boolean taken) {
        if (taken) {
            assertEquals(play / (1 + 2 * reach / length), Rocking.clearance(play, reach, length), 1e-12);
        } else {
            assertThrows(BadInputException.class, () -> Rocking.clearance(play, reach, length));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "14, BELOW_FACE, 0, 14, true",
        "14, BELOW_FACE, 10, 24, true",
        "14, ABOVE_FACE, 0.4, 13.6, true",
        "300, ABOVE_FACE, 0, 300, true",
        "0, BELOW_FACE, 0, 0, false",
        "300.01, BELOW_FACE, 0, 0, false",
        "14, BELOW_FACE, -0.01, 0, false",
        "14, BELOW_FACE, 10.01, 0, false",
        "2, ABOVE_FACE, 2, 0, false",
        "2, ABOVE_FACE, 3, 0, false"
    })
    void heights(double target, GuideHeight.From from, double toCut, double now, boolean taken) {
        if (!taken) {
            assertThrows(BadInputException.class, () -> GuideHeight.of(target, from, toCut));
            return;
        }
        GuideHeight height = GuideHeight.of(target, from, toCut);
        assertEquals(now, height.now(), 1e-9);
        assertEquals(target, height.after(), 1e-9, "the cut leaves what was wanted");
    }

    @ParameterizedTest
    @CsvSource({"1, 1.05, true", "99.9, 100, true", "0.999, 1.05, false", "99.9, 100.001, false", "8, 8, false"})
    void sizesOfStemsAndGuides(double stem, double bore, boolean taken) {
        double[][] read = {{bore, bore}, {bore, bore}, {bore, bore}};
        if (taken) {
            assertEquals(bore - stem, Guide.of(new double[] {stem}, read).clearanceLeast(), 1e-9);
        } else {
            assertThrows(BadInputException.class, () -> Guide.of(new double[] {stem}, read));
        }
    }

    @Test
    void aGuideIsReadAtOnePlaceOrAtThree() {
        double[] pair = {8.01, 8.01};
        assertThrows(BadInputException.class, () -> Guide.of(new double[] {8}, new double[][] {pair, pair}));
        assertThrows(
                BadInputException.class, () -> Guide.of(new double[] {8}, new double[][] {pair, pair, pair, pair}));
        assertThrows(BadInputException.class, () -> Guide.of(new double[0], new double[][] {pair}));
        assertThrows(BadInputException.class, () -> Guide.of(new double[4], new double[][] {pair}));
        assertThrows(BadInputException.class, () -> Guide.of(new double[] {8}, new double[][] {{8.01}, pair, pair}));
    }
}
