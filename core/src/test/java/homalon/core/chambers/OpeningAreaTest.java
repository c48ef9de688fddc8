package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.DepthFills.Level;
import homalon.core.input.BadInputException;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Openings and the fills that they are found from, by sums done beside the program. */
class OpeningAreaTest {
    private static DepthFills fills(double... depthAndCc) {
        List<Level> levels = new ArrayList<>();
        for (int i = 0; i < depthAndCc.length; i += 2) {
            levels.add(new Level(depthAndCc[i], depthAndCc[i + 1]));
        }
        return DepthFills.of(levels);
    }

    /** 46.0 to the brim and 41.0 a millimetre down: 5 cm3 to the millimetre are 5000 mm2. */
    @Test
    void twoDepthsGiveAStraightLine() {
        DepthFills d = fills(0, 46, 1, 41);
        OpeningArea a = OpeningArea.toDepth(d, 0.2);
        assertEquals(OpeningArea.Way.TO_DEPTH, a.way());
        assertEquals(5000, a.mm2(), 1e-9);
        // Two fills of 0.2 each over one millimetre, and 0.02 of the millimetre: sqrt(282.8^2 + 100^2).
        assertEquals(Math.hypot(Math.sqrt(2) * 0.2 * 1000, 100), a.plusMinus(), 1e-9);
        assertFalse(a.rough());
        assertEquals(3, a.working().lines().size());
        assertTrue(
                English.bare(a.working().lines().get(2)).contains("46.0 cc"),
                a.working().toString());
        assertEquals(43.5, d.after(0.5), 1e-9);
        assertEquals(5000, d.meanArea(0.7), 1e-6);
        assertEquals(5000, d.meanArea(0), 1e-6);
        assertEquals(2, d.levels().size());
    }

    /** V = 46 - 5 k + 0.5 k^2: the opening at the face is 5000, at 2 mm 3000, and 4000 in the mean between. */
    @Test
    void threeDepthsGiveAParabolaAndTheOpeningAtTheFace() {
        DepthFills d = fills(0, 46, 1, 41.5, 2, 38);
        OpeningArea a = OpeningArea.toDepth(d, 0.1);
        assertEquals(5000, a.mm2(), 1e-6);
        assertEquals(Math.hypot(Math.sqrt(2) * 0.1 / 2 * 1000, 5000 * 0.02 / 2), a.plusMinus(), 1e-6);
        assertTrue(English.bare(a.working().lines().get(3)).startsWith("slope of the parabola"));
        assertEquals(3000, d.area(2), 1e-6);
        assertEquals(4000, d.meanArea(2), 1e-6);
        assertEquals(38, d.after(2), 1e-9);
        assertTrue(d.to(40).reached());
        assertEquals(40, d.after(d.to(40).cut()), 1e-9);
        assertTrue(d.to(38).reached(), "the deepest fill itself");
        assertFalse(d.to(37.9).reached());
        assertEquals(2, d.to(37.9).cut(), 1e-12);
        assertEquals(38, d.to(37.9).cc(), 1e-9);
    }

    @Test
    void theBrimIsTheMeanOfItsFills() {
        assertEquals(46.1, fills(0, 46, 0, 46.2, 1, 41).brim(), 1e-12);
        assertEquals(46.1, fills(0, 46, 0, 46.2, 1, 41, 2, 37).after(0), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({
        "0, 46, 0, 45", // one depth only
        "1, 41, 2, 38", // no brim
        "0, 46, 1, 46", // no less below
        "0, 46, 1, 47",
        "0, 0, 1, -1",
        "-1, 46, 0, 45",
        "0, 46, 101, 1"
    })
    void fillsThatCannotBeAreRefused(double k1, double v1, double k2, double v2) {
        assertThrows(BadInputException.class, () -> fills(k1, v1, k2, v2));
    }

    @ParameterizedTest
    @CsvSource({"0, 46", "100, 0.001"})
    void theFarthestThatIsTaken(double k, double v) {
        assertEquals(
                2, fills(0, k == 0 ? 100000 : 46, k == 0 ? 1 : k, v).levels().size());
    }

    /** 46.0 before and 45.0 after 0.2 of cut: 5000 mm2; half a per cent of cut and a hypotenuse of fills leave it open. */
    @Test
    void twoFillsAndTheCutBetween() {
        OpeningArea a = OpeningArea.cutBetween(46, 0.1, 45, 0.1, 0.2, 0.005);
        assertEquals(5000, a.mm2(), 1e-9);
        assertEquals(Math.hypot(Math.hypot(0.1, 0.1) / 0.2 * 1000, 5000 * 0.005 / 0.2), a.plusMinus(), 1e-9);
        assertTrue(
                English.bare(a.working().lines().get(0)).contains("46.0 cc"),
                a.working().toString());
        assertThrows(BadInputException.class, () -> OpeningArea.cutBetween(46, 0.1, 45, 0.1, 0, 0.005));
        assertThrows(BadInputException.class, () -> OpeningArea.cutBetween(46, 0.1, 46, 0.1, 0.2, 0.005));
    }

    @Test
    void whatNobodyMeasuredIsRoughAndWhatLeavesLeastOpenIsTaken() {
        OpeningArea keyed = OpeningArea.keyed(5000);
        assertEquals(100, keyed.plusMinus(), 1e-9);
        assertFalse(keyed.rough());
        assertTrue(English.bare(keyed.working().lines().get(0)).startsWith("keyed"));
        OpeningArea share = OpeningArea.share(100);
        assertEquals(0.8 * Math.PI / 4 * 1e4, share.mm2(), 1e-6);
        assertTrue(share.rough() && OpeningArea.outline(5000, 300).rough());
        assertEquals(150, OpeningArea.outline(5000, 300).plusMinus(), 1e-9);
        assertEquals(
                keyed,
                OpeningArea.best(List.of(share, OpeningArea.outline(5000, 300), keyed))
                        .orElseThrow());
        assertTrue(OpeningArea.best(List.of()).isEmpty());
        for (OpeningArea.Way way : OpeningArea.Way.values()) {
            assertFalse(English.of(way.words()).isEmpty());
        }
    }

    /** 84 by 90 with a gasket of 86 x 1.2: every part of the space by itself. */
    @Test
    void aCylindersSpaces() {
        Cylinder c = new Cylinder(84, 90, 46, Cylinder.Gasket.round(86, 1.2), 0.3, -2, 0.4);
        assertEquals(Math.PI / 4 * 84 * 84 * 0.3 / 1000, c.deckCc(), 1e-9);
        double above = 46 + Math.PI / 4 * 86 * 86 * 1.2 / 1000 + c.deckCc() - 2 + 0.4;
        assertEquals(above, c.clearanceCc(), 1e-9);
        assertEquals((c.sweptCc() + above) / above, c.ratio(), 1e-12);
        assertEquals(c.deckCc() * 2, c.withDeck(0.6).deckCc(), 1e-9);
        assertEquals(above + 3, c.withCrown(1).clearanceCc(), 1e-9);
        assertEquals(1.5, c.gasket().thicker(0.3).thickness(), 1e-12);
        double bare = above - 46;
        assertEquals((c.sweptCc() + bare) / bare, c.highest(), 1e-9);
        assertEquals(Double.POSITIVE_INFINITY, c.withCrown(-12).withChamber(46).highest());
        assertEquals(46, c.chamberFor(c.ratio()), 1e-9);
        assertEquals(7, c.working(Message.plain("now")).lines().size());
        assertTrue(
                English.bare(c.working(Message.plain("now")).lines().get(4)).contains("2.00"),
                c.working(Message.plain("now")).toString());
    }

    @ParameterizedTest
    @ValueSource(doubles = {46.5, 47})
    void chambersAreMadeAlikeByTheCheapestWaysFirst(double target) {
        Equalise.Means grind = new Equalise.Means(Equalise.Way.GRIND, 1, 15);
        Equalise.Means sink = new Equalise.Means(Equalise.Way.SINK, 0.4, 25);
        Equalise e = Equalise.of(
                List.of(
                        new Equalise.Chamber("1", 45.4, List.of(sink, grind)),
                        new Equalise.Chamber("2", 46.5, List.of(sink, grind))),
                target);
        Equalise.One first = e.each().get(0);
        assertEquals(Equalise.Way.GRIND, first.shares().get(0).way());
        assertEquals(1, first.shares().get(0).cc(), 1e-12);
        assertEquals(target == 46.5, e.reached());
        assertEquals(target == 46.5 ? 0.1 : 0.4, first.shares().get(1).cc(), 1e-9);
        assertEquals(target == 46.5 ? 0 : 0.2, first.lacking(), 1e-9);
        double second = target == 46.5 ? 0 : 0.5 * 15;
        assertEquals(15 + first.shares().get(1).cc() * 25 + second, e.minutes(), 1e-9);
        assertEquals(target == 46.5 ? 46.5 : 46.8, e.possible(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({"46, 46.0 cc", "46.04, 46.04 cc", "6.97049, 6.97 cc", "6.9704, 6.97 cc", "6.9706, 6.971 cc", "0, 0.0 cc"
    })
    void aWorkingShowsTheDigitsThatLeadToItsFigure(double cc, String shown) {
        assertEquals(shown, Ratios.exactCc(cc));
    }
}
