package homalon.core.chambers;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertSame;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.EngineBook.Drive;
import homalon.core.chambers.EngineBook.Rods;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.Source;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Single rules of fills, of the engine's book, and of a wish for a ratio, each at its very limit. */
class ChamberRulesTest {
    /** Which fills count: the largest group within three tenths, of two as large the later one; alone, all of them. */
    @ParameterizedTest
    @CsvSource({
        "42.0, 42.0, 0.2, false, fill it a second time, 1",
        "42.0 42.3, 42.15, 0.2, true, '', 2",
        "42.0 42.31, 42.155, 0.2, false, differ too much, 2",
        "42.0 43.0 42.2, 42.1, 0.2, true, '', 2",
        "42.0 42.2 44.0 44.2, 44.1, 0.2, true, '', 2",
        "40.0 41.0 42.0, 41, 1, false, differ too much, 3",
        "42.0 42.3 42.15 40, 42.15, 0.2, true, '', 3"
    })
    void whichFillsCount(String fills, double cc, double plusMinus, boolean settled, String next, int taken) {
        double[] poured = java.util.Arrays.stream(fills.split(" "))
                .mapToDouble(Double::parseDouble)
                .toArray();
        ChamberVolume volume = ChamberVolume.of(poured, 0.2);
        assertEquals(cc, volume.cc(), 1e-9);
        assertEquals(plusMinus, volume.plusMinus(), 1e-9);
        assertEquals(settled, volume.settled());
        assertEquals(settled, English.of(volume.next()).isEmpty());
        assertTrue(English.of(volume.next()).contains(next), English.of(volume.next()));
        assertEquals(taken, volume.taken().size());
    }

    @ParameterizedTest
    @CsvSource({
        "42.6, 42.6",
        "3.2-45.8, 42.6",
        "3.2 45.8, 42.6",
        "'42,6', 42.6",
        ".5, 0.5",
        "42., 42",
        "0-50+0-12.4, 62.4",
        "100, 100",
        "42.6 cc, 42.6",
        "0.1-0.2, 0.1"
    })
    void whatABuretteSays(String typed, double cc) {
        assertEquals(cc, Fill.read(typed, 100).cc(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({
        "100.1, set the burette's size",
        "45.8-3.2, counts upwards",
        "5-5, counts upwards",
        "full, end reading",
        "0-50+, end reading",
        "'', end reading",
        "1+1+1+1+1+1+1+1+1+1+1+1+1, end reading"
    })
    void whatABuretteCannotSay(String typed, String says) {
        String refused = English.of(assertThrows(BadInputException.class, () -> Fill.read(typed, 100))
                .sentence());
        assertTrue(refused.contains(says), refused);
    }

    @Test
    void noChamberHoldsTwoThousand() {
        assertEquals(2000, Fill.read("0-1000+0-1000", 1000).cc());
        assertThrows(BadInputException.class, () -> Fill.read("0-1000+0-1000+0-0.1", 1000));
    }

    @ParameterizedTest
    @CsvSource({"false, false, AS_CAME", "true, false, SEATS", "false, true, CUT", "true, true, BOTH"})
    void statesOfAFill(boolean seats, boolean cut, FillState state) {
        assertSame(state, FillState.of(seats, cut));
        assertEquals(seats, state.seatsDone());
        assertEquals(cut, state.cutDone());
        assertSame(state, FillState.byName(state.name()).orElseThrow());
        assertTrue(FillState.byName("LATER").isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "more compression, true",
        "Class rules: 42 cc, true",
        "cc'ed please, true",
        "as much compression as the class allows, true",
        "lower compression for the blower, true",
        "tell us what the compression comes to, true",
        "Compression ratio 9.2, true",
        "low compression on 2, false",
        "Lost compression between 2 and 3, false",
        "compression test was uneven, false",
        "compression is down on 3; make it flat, false",
        "stock rebuild; compression as it was, false",
        "no compression on 1, false",
        "stock, false",
        "champion, false",
        "success, false"
    })
    void wishesAboutChambers(String wishes, boolean about) {
        assertEquals(about, Wished.chambers(wishes));
    }

    @ParameterizedTest
    @CsvSource({
        "0.42, +0.42 cc",
        "-0.42, −0.42 cc",
        "0.0049, 0.00 cc",
        "-0.0049, 0.00 cc",
        "0.005, +0.01 cc",
        "-0.005, −0.01 cc"
    })
    void signs(double cc, String written) {
        assertEquals(written, Ratios.signedCc(cc));
        assertEquals("\u221e", Ratios.ratio(Double.POSITIVE_INFINITY));
        assertEquals("9.63", Ratios.ratio(9.625));
    }

    private static EngineBook book(Map<EngineItem, Double> figures) {
        Map<EngineItem, EngineBook.Entry> entries = new EnumMap<>(EngineItem.class);
        figures.forEach((i, v) -> entries.put(i, new EngineBook.Entry(v, Source.MAKER)));
        return new EngineBook(entries, Drive.PUSHROD, Crown.PARALLEL_POCKET, Rods.IRON);
    }

    private static final Map<EngineItem, Double> WHOLE = Map.of(
            EngineItem.BORE, 80.0,
            EngineItem.STROKE, 90.0,
            EngineItem.GASKET, 1.0,
            EngineItem.DECK, 0.2,
            EngineItem.GASKET_BORE, 82.0,
            EngineItem.CROWN, 2.0);

    /** Everything that a ratio needs, one missing at a time; an area takes the place of the gasket's diameter. */
    @ParameterizedTest
    @CsvSource({"BORE", "STROKE", "GASKET", "DECK", "GASKET_BORE", "CROWN"})
    void whatARatioNeeds(EngineItem item) {
        EngineBook whole = book(WHOLE);
        assertEquals(List.of(), whole.missingForRatio());
        EngineBook without = whole.without(item);
        assertEquals(List.of(item), without.missingForRatio());
        assertFalse(without.has(item));
        assertTrue(without.cylinder(40, OptionalDouble.empty(), OptionalDouble.empty())
                .isEmpty());
        assertEquals(
                item == EngineItem.DECK,
                without.cylinder(40, OptionalDouble.of(0.1), OptionalDouble.empty())
                        .isPresent());
        assertEquals(
                item == EngineItem.CROWN,
                without.cylinder(40, OptionalDouble.empty(), OptionalDouble.of(3))
                        .isPresent());
        assertEquals(
                item == EngineItem.GASKET_BORE,
                without.with(EngineItem.GASKET_AREA, 5000).missingForRatio().isEmpty());
    }

    @Test
    void whatStandsForACylinder() {
        EngineBook whole = book(WHOLE);
        Cylinder c = whole.cylinder(40, OptionalDouble.empty(), OptionalDouble.empty())
                .orElseThrow();
        assertEquals(Math.PI / 4 * 82 * 82, whole.gasketArea(), 1e-9);
        assertEquals(5000, whole.with(EngineItem.GASKET_AREA, 5000).gasketArea(), 1e-9);
        assertEquals(Math.PI / 4 * 80 * 80, whole.blockOpening(), 1e-9);
        assertEquals(9000, whole.with(EngineItem.BLOCK_OPENING, 9000).blockOpening(), 1e-9);
        double clearance = 40 + Math.PI / 4 * 82 * 82 / 1000 + Math.PI / 4 * 80 * 80 * 0.2 / 1000 + 2;
        assertEquals(clearance, c.clearanceCc(), 1e-9);
        assertEquals(0.2, c.deck());
        assertEquals(
                3,
                whole.cylinder(40, OptionalDouble.of(0.1), OptionalDouble.of(3))
                        .orElseThrow()
                        .crownCc());
        EngineBook land = whole.with(EngineItem.PLAY, 0.06).with(EngineItem.TOP_LAND, 6);
        assertEquals(
                Cylinder.creviceCc(80, 0.06, 6),
                land.cylinder(40, OptionalDouble.empty(), OptionalDouble.empty())
                                .orElseThrow()
                                .clearanceCc()
                        - clearance,
                1e-9);
        assertEquals(
                clearance,
                whole.with(EngineItem.PLAY, 0.06)
                        .cylinder(40, OptionalDouble.empty(), OptionalDouble.empty())
                        .orElseThrow()
                        .clearanceCc(),
                1e-9,
                "half of it says nothing");
        assertSame(Drive.PUSHROD, whole.with(EngineItem.PLAY, 0.05).drive());
        assertSame(Crown.PARALLEL_POCKET, whole.without(EngineItem.BORE).crown());
        assertSame(Rods.IRON, whole.rods());
        assertEquals(7, whole.or(EngineItem.STROKE, 7) - 83);
        assertEquals(7, whole.or(EngineItem.GOUGE, 7));
        assertTrue(whole.figure(EngineItem.GOUGE).isEmpty());
    }

    @ParameterizedTest
    @CsvSource({"45, 44.9, true", "45, 45, false", "50, 40, false"})
    void bankAndFlangeStayUnderARightAngle(double bank, double lean, boolean taken) {
        Map<EngineItem, Double> both = Map.of(EngineItem.BANK_HALF, bank, EngineItem.FLANGE_LEAN, lean);
        if (taken) {
            assertEquals(bank, book(both).value(EngineItem.BANK_HALF));
        } else {
            assertThrows(BadInputException.class, () -> book(both));
        }
        assertThrows(BadInputException.class, () -> book(Map.of(EngineItem.BORE, 80.0, EngineItem.GASKET_BORE, 79.99)));
        assertEquals(
                80,
                book(Map.of(EngineItem.BORE, 80.0, EngineItem.GASKET_BORE, 80.0))
                        .value(EngineItem.GASKET_BORE));
    }

    /** What is keyed of an engine, with the unit of the bench or its own. */
    @ParameterizedTest
    @CsvSource({
        "BORE, 86, MM, 86",
        "BORE, 3.5, THOU, 88.9",
        "GASKET, 1.2, MM, 1.2",
        "GASKET, 40, THOU, 1.016",
        "CHAMBER, 42.6, MM, 42.6",
        "CHAMBER, 42.6 cc, THOU, 42.6",
        "CHAMBER, 2.6 ci, THOU, 42.6063664",
        "OPENING, 5020 mm2, MM, 5020",
        "OPENING, 7.5 in2, THOU, 4838.7",
        "OPENING, 50 cm2, MM, 5000",
        "RATIO_MOST, 9.5:1, MM, 9.5",
        "INTAKE_LEAN, 18 deg, MM, 18",
        "CROWN, -3.5, MM, -3.5",
        "CROWN, '−3,5', MM, -3.5",
        "BORE, 20, MM, 20",
        "BORE, 500, MM, 500",
        "GRIND_MINUTES, 8, MM, 8"
    })
    void whatIsKeyedOfAnEngine(EngineItem item, String typed, BenchUnit bench, double value) {
        assertEquals(value, item.read(typed, bench), 1e-6);
        assertFalse(item.written(value, bench).isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "BORE, 19.9",
        "BORE, 500.1",
        "CHAMBER, 42 mm",
        "OPENING, 50 cc",
        "RATIO_MOST, nine",
        "INTAKE_LEAN, 61",
        "INTAKE_LEAN, 5 rad",
        "GRIND_MINUTES, 8 h",
        "GASKET, ''"
    })
    void whatCannotBeOfAnEngine(EngineItem item, String typed) {
        BadInputException e = assertThrows(BadInputException.class, () -> item.read(typed, BenchUnit.MM));
        assertEquals(item.name(), e.problems().get(0).field());
    }

    private static final Cylinder ONE = new Cylinder(80, 90, 40, new Cylinder.Gasket(5000, 1), 0, 0, 0);

    /** A wish for a ratio: what it takes, and why it cannot be had. */
    @ParameterizedTest
    @CsvSource({"12.0, true, ''", "5, false, a cut only raises", "100, false, 'no chamber left'"})
    void aWishForARatio(double wanted, boolean possible, String why) {
        CutForRatio cut = CutForRatio.of(ONE, wanted, 4000, 5000);
        double take = 40 - ONE.chamberFor(wanted);
        assertEquals(take / 4000 * 1000, cut.headCut(), 1e-9);
        assertEquals(take / 5000 * 1000, cut.blockCut(), 1e-9);
        assertEquals(40 - take, cut.chamberCcAfter(), 1e-9);
        assertEquals(possible, English.of(cut.why()).isEmpty());
        assertTrue(English.of(cut.why()).contains(why), English.of(cut.why()));
        if (wanted == 5) {
            String thicker = String.format(java.util.Locale.ROOT, "%.2f mm", -take / 5000 * 1000);
            assertTrue(English.of(cut.why()).contains(thicker), English.of(cut.why()));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1, 4000, 5000",
        "1000001, 4000, 5000",
        "9, 0, 5000",
        "9, 2000001, 5000",
        "9, 4000, 0",
        "9, 4000, 2000001"
    })
    void whatCannotBeWished(double wanted, double opening, double block) {
        assertThrows(BadInputException.class, () -> CutForRatio.of(ONE, wanted, opening, block));
    }

    @Test
    void neverPastTheDeepestFill() {
        DepthFills fills = DepthFills.of(
                List.of(new DepthFills.Level(0, 40), new DepthFills.Level(1, 36), new DepthFills.Level(2, 33)));
        CutForRatio some = CutForRatio.of(ONE, ONE.withChamber(36).ratio(), fills, 5000);
        assertEquals(1, some.headCut(), 1e-6);
        assertEquals(36, some.chamberCcAfter(), 1e-6);
        assertTrue(English.of(some.why()).isEmpty());
        CutForRatio deep = CutForRatio.of(ONE, ONE.withChamber(30).ratio(), fills, 5000);
        assertEquals(2, deep.headCut(), 1e-6);
        assertTrue(English.of(deep.why()).contains("fill deeper"), English.of(deep.why()));
        assertEquals(33, deep.chamberCcAfter(), 1e-6);
        CutForRatio none = CutForRatio.of(ONE, ONE.ratio(), fills, 5000);
        assertEquals(0, none.headCut(), 1e-6);
        CutForRatio less = CutForRatio.of(ONE, ONE.withChamber(40.9).ratio(), fills, 5000);
        assertFalse(less.possible());
        // The opening at the face is the slope of the parabola through 40, 36 and 33: 4.5 cc for a millimetre.
        assertEquals(4500, less.openingArea(), 1e-6);
        assertEquals(-0.2, less.headCut(), 1e-6);
        assertEquals(-0.18, less.blockCut(), 1e-6);
        assertEquals(40.9, less.chamberCcAfter(), 1e-6);
        assertEquals(0.9 / 5000 * 1000, some(English.of(less.why())), 5e-3);
        CutForRatio block = CutForRatio.of(ONE, ONE.withChamber(36).ratio(), fills, 8000);
        assertEquals(0.5, block.blockCut(), 1e-6);
        assertEquals(4500, block.openingArea(), 1e-6);
    }

    /** The gasket that a sentence names, mm. */
    private static double some(String why) {
        return Double.parseDouble(why.replaceAll("(?s).*thicker by ([0-9.]+) mm.*", "$1"));
    }

    /** What a chamber's volume leaves open after a cut: its fills, its opening over all that came off, the cut's own depth. */
    @ParameterizedTest
    @CsvSource({
        // since, cut, by hand
        "0,   0,   0.2000",
        "0.1, 0,   0.2017",
        "0,   0.1, 0.2017",
        "0.1, 0.3, 0.2054",
        "0.4, 0,   0.2054"
    })
    void whatACutLeavesOpen(double since, double cut, double open) {
        Compression c = Compression.after(
                ONE, new Compression.Cut(cut, 0, 4800, 5000, since), new Doubts(0.2, 0, 0, 0, 100, 0.005));
        assertEquals(open, c.chamberSpread(), 1e-4);
        double slope = c.cylinder().sweptCc() / Math.pow(c.cylinder().clearanceCc(), 2);
        assertEquals(slope * c.chamberSpread(), c.spread(), 1e-9);
        assertTrue(c.words().startsWith(Ratios.ratio(c.ratio()) + " ± "), c.words());
        String last = English.bare(c.working(Message.plain("after")).lines().get(7));
        assertTrue(last.startsWith("spread: swept / clearance²"), last);
    }

    /** Each figure that is not sure widens the ratio by itself: of two as wide, by the root of two. */
    @Test
    void doubtsAddAsSquares() {
        double gasket = Compression.now(ONE, new Doubts(0, 0.02, 0, 0, 0, 0)).spread();
        double deck = Compression.now(ONE, new Doubts(0, 0, 0.01, 0, 0, 0)).spread();
        double slope = ONE.sweptCc() / Math.pow(ONE.clearanceCc(), 2);
        assertEquals(slope * 5000 * 0.02 / 1000, gasket, 1e-12);
        assertEquals(slope * Math.PI / 4 * 6400 * 0.01 / 1000, deck, 1e-12);
        assertEquals(
                Math.hypot(gasket, deck),
                Compression.now(ONE, Doubts.usual(0, 0)).spread(),
                1e-12);
        double block = Compression.after(ONE, new Compression.Cut(0, 0.1, 4800, 6000), new Doubts(0, 0, 0, 0, 0, 0.005))
                .spread();
        Cylinder then = Compression.after(ONE, new Compression.Cut(0, 0.1, 4800, 6000), Doubts.ofFill(0))
                .cylinder();
        assertEquals(then.sweptCc() / Math.pow(then.clearanceCc(), 2) * 6000 * 0.005 / 1000, block, 1e-12);
    }
}
