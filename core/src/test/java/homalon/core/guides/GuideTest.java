package homalon.core.guides;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.catalogue.Item;
import homalon.core.guides.Ladder.Helps;
import homalon.core.guides.Ladder.Rung;
import homalon.core.input.BadInputException;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BookDefaults;
import homalon.core.words.English;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GuideTest {
    private static final BookDefaults PLAIN = BookDefaults.of(BenchUnit.MM);

    private static final GuideLimits LIMITS = new GuideLimits(0.03, 0.06, 0.10, 0.03, 0.03);
    private static final Ladder.Shop SHOP = new Ladder.Shop(true, false, Ladder.Shop.USUAL_OVERSIZES);

    private static double[][] bore(double top, double middle, double bottom) {
        return new double[][] {{top, top}, {middle, middle}, {bottom, bottom}};
    }

    /** Measuring both with an instrument that reads the same amount wrong changes nothing; nor does which way round it lay. */
    @Test
    void onlyDifferencesCount() {
        Random random = new Random(7);
        for (int n = 0; n < 300; n++) {
            double[] stem = {7.97 + random.nextDouble() * 0.01, 7.96 + random.nextDouble() * 0.01};
            double[][] bore = new double[3][2];
            double[][] off = new double[3][2];
            for (int i = 0; i < 3; i++) {
                for (int k = 0; k < 2; k++) {
                    bore[i][k] = 8 + random.nextDouble() * 0.1;
                    off[i][1 - k] = bore[i][k] + 0.25;
                }
            }
            Guide one = Guide.of(stem, bore);
            Guide other = Guide.of(new double[] {stem[1] + 0.25, stem[0] + 0.25}, off);
            assertEquals(one.clearanceGoverning(), other.clearanceGoverning(), 1e-12);
            assertEquals(one.wear(), other.wear(), 1e-12);
            assertEquals(one.ovality(), other.ovality(), 1e-12);
            assertEquals(one.bellMouthTop().getAsDouble(), other.bellMouthTop().getAsDouble(), 1e-12);
            assertTrue(one.ovalAcross() != other.ovalAcross());
            assertEquals(one.wear() + stem(stem), one.clearanceGoverning() - one.clearanceLeast(), 1e-12);
        }
    }

    private static double stem(double[] two) {
        return Math.abs(two[0] - two[1]);
    }

    /** By the stem's size, never closer than oil needs. */
    @ParameterizedTest
    @CsvSource({
        "false, 8, 0.036, 0.064, 0.100",
        "true, 8, 0.044, 0.076, 0.120",
        "true, 14, 0.077, 0.133, 0.210",
        "false, 4.5, 0.020, 0.036, 0.056",
        "false, 2, 0.020, 0.020, 0.025"
    })
    void clearancesGrowWithTheStem(boolean exhaust, double stem, double least, double most, double service) {
        GuideLimits limits = GuideLimits.usual(exhaust, stem, BookDefaults.of(BenchUnit.MM));
        assertEquals(least, limits.least(), 1e-12);
        assertEquals(most, limits.most(), 1e-12);
        assertEquals(service, limits.service(), 1e-12);
    }

    /** Top and bottom without the middle say nothing of a bell-mouth. */
    @Test
    void twoPlacesAreNotAGuide() {
        BadInputException refused = assertThrows(
                BadInputException.class, () -> Guide.of(new double[] {7.96}, new double[][] {{8, 8}, {8, 8}}));
        assertTrue(English.of(refused.problems().get(0).sentence()).contains("top, middle and bottom"));
    }

    @Test
    void oneEndIsNeverTheWhole() {
        Guide near = Guide.of(new double[] {7.96}, new double[][] {{8.01, 8.01}});
        assertTrue(near.oneEndOnly());
        Ladder ladder = Ladder.of(near, 7.96, LIMITS, SHOP, true);
        assertEquals(Helps.MEASURE, ladder.rung(Rung.AS_IS).helps());
        assertEquals(Optional.empty(), ladder.lowest());
        // The end that was not read is the worn one.
        Guide whole = Guide.of(new double[] {7.96}, bore(8.09, 8.01, 8.01));
        assertEquals(0.13, whole.clearanceGoverning(), 1e-12);
        assertEquals(0.08, whole.bellMouthTop().getAsDouble(), 1e-12);
        assertEquals(
                OptionalDouble.empty(),
                Guide.ofSome(new double[] {7.96}, new double[][] {{8.1, 8.1}, null, {8, 8}})
                        .bellMouthTop());
    }

    /** A rigid stem that touches the guide at both ends, leant one way and the other. */
    @Test
    void rockingIsTheLeanOfAStem() {
        Random random = new Random(3);
        for (int n = 0; n < 200; n++) {
            double c = 0.02 + random.nextDouble() * 0.2;
            double g = 30 + random.nextDouble() * 60;
            double s = random.nextDouble() * 40;
            double top = -c / 2;
            double bottom = c / 2;
            double atHead = bottom + (bottom - top) / g * s;
            assertEquals(c, Rocking.clearance(2 * atHead, s, g), 1e-12);
        }
        assertThrows(BadInputException.class, () -> Rocking.clearance(0.1, 10, 0));
    }

    @Test
    void ladderTakesTheLowestRungThatHelps() {
        assertEquals(Rung.AS_IS, lowest(bore(8.01, 8.005, 8.01)));
        assertEquals(Rung.HONE, lowest(bore(7.988, 7.988, 7.988)));
        assertEquals(Rung.OVERSIZE, lowest(bore(8.08, 8.01, 8.02)));
        // Worn too far for any stem that is had: the worn place would stay.
        assertEquals(Rung.LINER, lowest(bore(8.60, 8.01, 8.02)));
        Ladder worn = Ladder.of(Guide.of(new double[] {7.96}, bore(8.08, 8.01, 8.02)), 7.96, LIMITS, SHOP, false);
        assertEquals(Helps.YES, worn.rung(Rung.KNURL).helps());
        assertEquals(Helps.MEASURE, worn.rung(Rung.REPLACE).helps(), "the housing comes before the order");
        // Ream for an oversize stem: stem plus what a new fit wants.
        assertEquals(7.96 + 0.127 + 0.045, worn.rung(Rung.OVERSIZE).ream().orElseThrow(), 1e-12);
        Ladder.Shop purist = new Ladder.Shop(false, false, Ladder.Shop.USUAL_OVERSIZES);
        assertEquals(
                Helps.NO,
                Ladder.of(Guide.of(new double[] {7.96}, bore(8.08, 8.01, 8.02)), 7.96, LIMITS, purist, false)
                        .rung(Rung.KNURL)
                        .helps());
        Ladder.Shop racer = new Ladder.Shop(true, true, Ladder.Shop.USUAL_OVERSIZES);
        assertEquals(
                Helps.NO,
                Ladder.of(Guide.of(new double[] {7.96}, bore(8.08, 8.01, 8.02)), 7.96, LIMITS, racer, false)
                        .rung(Rung.KNURL)
                        .helps());
        assertEquals(
                Helps.NO,
                Ladder.of(Guide.of(new double[] {7.96}, bore(8.13, 8.01, 8.02)), 7.96, LIMITS, SHOP, false)
                        .rung(Rung.KNURL)
                        .helps());
    }

    private static Rung lowest(double[][] bore) {
        return Ladder.of(Guide.of(new double[] {7.96}, bore), 7.96, LIMITS, SHOP, true)
                .lowest()
                .orElseThrow()
                .rung();
    }

    private static Item guide(String code, double outer) {
        return new Item(code, Item.Kind.GUIDE, "", outer, 7.9, 52, Optional.empty(), OptionalDouble.empty());
    }

    @Test
    void aGuideBoughtByEyeDropsThrough() {
        List<Item> stock =
                List.of(guide("G-13", 13.0), guide("G-13A", 13.04), guide("G-13B", 13.10), guide("G-13C", 13.30));
        GuideFit fit = GuideFit.of(13.055, Material.ALUMINIUM, stock, PLAIN);
        assertEquals("G-13B", fit.each().get(0).guide().code());
        assertEquals(GuideFit.Answer.BITES, fit.each().get(0).answer());
        assertEquals(0.045, fit.each().get(0).press(), 1e-9);
        assertEquals(
                2,
                fit.each().stream()
                        .filter(o -> o.answer() == GuideFit.Answer.DROPS)
                        .count());
        assertTrue(fit.ream().isEmpty());
        // In a housing between two sizes it is reamed for the next, to leave the middle of the press wanted.
        GuideFit between = GuideFit.of(13.15, Material.CAST_IRON, stock, PLAIN);
        assertFalse(between.each().stream().anyMatch(o -> o.answer() == GuideFit.Answer.BITES));
        assertEquals("G-13C", between.ream().orElseThrow().guide().code());
        assertEquals(13.30 - 0.035, between.ream().orElseThrow().size(), 1e-9);
        assertTrue(GuideFit.of(13.9, Material.CAST_IRON, stock, PLAIN).ream().isEmpty());
    }

    @Test
    void heightAllowsForTheCutStillToCome() {
        assertEquals(
                14.5, GuideHeight.of(14.2, GuideHeight.From.BELOW_FACE, 0.3).now(), 1e-12);
        assertEquals(
                13.9, GuideHeight.of(14.2, GuideHeight.From.ABOVE_FACE, 0.3).now(), 1e-12);
        for (GuideHeight.From from : GuideHeight.From.values()) {
            assertEquals(14.2, GuideHeight.of(14.2, from, 0.37).after(), 1e-12, "the cut brings it to what was wanted");
        }
        assertThrows(BadInputException.class, () -> GuideHeight.of(0.2, GuideHeight.From.ABOVE_FACE, 0.3));
    }

    @Test
    void whatCannotBeIsRefusedInWords() {
        BadInputException tight =
                assertThrows(BadInputException.class, () -> Guide.of(new double[] {8.02}, bore(8.01, 8.01, 8.01)));
        assertTrue(English.of(tight.sentence()).contains("smaller than its stem"), English.of(tight.sentence()));
        assertThrows(BadInputException.class, () -> Guide.of(new double[] {}, bore(8, 8, 8)));
        assertThrows(BadInputException.class, () -> Guide.of(new double[] {7.9}, new double[][] {{8, 8}, {8, 8}}));
        assertThrows(BadInputException.class, () -> Guide.of(new double[] {Double.NaN}, bore(8, 8, 8)));
        assertThrows(BadInputException.class, () -> new GuideLimits(0.06, 0.03, 0.1, 0.03, 0.03));
    }
}
