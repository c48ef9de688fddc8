package homalon.core.integrity;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Decay.Bubbles;
import homalon.core.integrity.Decay.Reading;
import homalon.core.part.Layout;
import homalon.core.part.LayoutNumbers;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Where a crack is drawn, and what stands at the edge of a limit. */
class AtTheLimitsTest {
    private static final Layout HEAD =
            Layout.of(LayoutNumbers.proposed(PartKind.HEAD, 4, Length.ofMm("87"), Length.ofMm("98")));
    private static final double R = 43.5;
    private static final double LONG = 20;

    /** Ends from the centre of the second bore: shares of its radius, and of the crack's length. */
    @ParameterizedTest
    @CsvSource({
        "BETWEEN_SEATS, 0, 0, -0.5, 0, 0.5, 0",
        "SEAT_TO_PLUG, -0.4, 0.37, 0, 0, 0, 1",
        "BORE_WALL, 0, -1, -0.5, 0, 0.5, 0",
        "EXHAUST_PORT, 0.44, 0, -0.353553, -0.353553, 0.353553, 0.353553",
        "GUIDE_BOSS, 0.44, 0, -0.353553, -0.353553, 0.353553, 0.353553",
        "FACE, 1, 1, -0.353553, 0.353553, 0.353553, -0.353553",
    })
    void aCrackIsDrawnAtItsPlace(CrackPlace place, double rx, double ry, double ax, double ay, double bx, double by) {
        Spot c = HEAD.bores().get(1).centre();
        CrackSpots.Tips tips = CrackSpots.of(HEAD, place, 1, LONG);
        near(tips.from(), c.x() + rx * R + ax * LONG, c.y() + ry * R + ay * LONG);
        near(tips.to(), c.x() + rx * R + bx * LONG, c.y() + ry * R + by * LONG);
    }

    private static void near(Spot spot, double x, double y) {
        assertEquals(x, spot.x(), 1e-4);
        assertEquals(y, spot.y(), 1e-4);
    }

    @Test
    void betweenTwoBoresIsHalfWayAndBehindTheLastBesideIt() {
        Spot c = HEAD.bores().get(1).centre();
        near(CrackSpots.of(HEAD, CrackPlace.BETWEEN_BORES, 1, LONG).from(), c.x() + 49, c.y() - 10);
        near(CrackSpots.of(HEAD, CrackPlace.BETWEEN_BORES, 1, LONG).to(), c.x() + 49, c.y() + 10);
        Spot last = HEAD.bores().get(3).centre();
        near(CrackSpots.of(HEAD, CrackPlace.BETWEEN_BORES, 3, LONG).from(), last.x() + R + 6, last.y() - 10);
        assertEquals(
                CrackSpots.of(HEAD, CrackPlace.BETWEEN_SEATS, 0, LONG),
                CrackSpots.of(HEAD, CrackPlace.BETWEEN_SEATS, -1, LONG));
        assertEquals(
                CrackSpots.of(HEAD, CrackPlace.BETWEEN_SEATS, 3, LONG),
                CrackSpots.of(HEAD, CrackPlace.BETWEEN_SEATS, 9, LONG));
    }

    /** The valves of a block stand on its exhaust side. */
    @ParameterizedTest
    @CsvSource({"true, -1", "false, 1"})
    void fromASeatInTheBlockItRunsOutOnTheExhaustSide(boolean intakeAtTop, double out) {
        LayoutNumbers n = LayoutNumbers.proposed(PartKind.DECK, 2, Length.ofMm("87"), Length.ofMm("98"));
        Layout deck = Layout.of(new LayoutNumbers(
                n.cylinders(),
                n.firstNumber(),
                n.numberStep(),
                n.bore(),
                n.spacing(),
                n.length(),
                n.width(),
                n.boltRows(),
                n.boltHole(),
                n.waterHoles(),
                n.chambers(),
                intakeAtTop,
                n.dowels()));
        Spot c = deck.bores().get(0).centre();
        CrackSpots.Tips tips = CrackSpots.of(deck, CrackPlace.SEAT_TO_BORE, 0, LONG);
        near(tips.from(), c.x() + 0.42 * R, c.y() + out * R);
        near(tips.to(), c.x() + 0.42 * R, c.y() + out * (R + LONG));
    }

    @Test
    void toWaterItLeavesTheSeatAndFromABoltItPointsAtTheBore() {
        Spot c = HEAD.bores().get(1).centre();
        CrackSpots.Tips wet = CrackSpots.of(HEAD, CrackPlace.SEAT_TO_WATER, 1, LONG);
        assertEquals(0.6 * R, wet.from().distance(c), 1e-6);
        assertEquals(0.6 * R + LONG, wet.to().distance(c), 1e-6);
        double nearest = HEAD.waterHoles().stream()
                .mapToDouble(h -> h.centre().distance(c))
                .min()
                .orElseThrow();
        assertEquals(
                Math.abs(nearest - 0.6 * R - LONG),
                HEAD.waterHoles().stream()
                        .mapToDouble(h -> h.centre().distance(wet.to()))
                        .min()
                        .orElseThrow(),
                1e-6,
                "on its way to the nearest hole");
        CrackSpots.Tips bolt = CrackSpots.of(HEAD, CrackPlace.BOLT_HOLE, 1, LONG);
        double far = HEAD.boltHoles().stream()
                .mapToDouble(h -> h.centre().distance(c))
                .min()
                .orElseThrow();
        assertEquals(far - 4, bolt.from().distance(c), 1e-6);
        assertEquals(far - 4 - LONG, bolt.to().distance(c), 1e-6);
    }

    @ParameterizedTest
    @EnumSource(CrackPlace.class)
    void aCutGoesOverPlacesInTheFaceOnly(CrackPlace place) {
        Set<CrackPlace> below = EnumSet.of(
                CrackPlace.GUIDE_BOSS,
                CrackPlace.EXHAUST_PORT,
                CrackPlace.SPRING_POCKET,
                CrackPlace.BORE_WALL,
                CrackPlace.MAIN_WEB);
        assertEquals(!below.contains(place), place.inFace());
        assertFalse(English.of(place.words()).isBlank());
    }

    @ParameterizedTest
    @EnumSource(CleaningMethod.class)
    void gritStaysBehindWhereSomethingWasThrown(CleaningMethod method) {
        boolean thrown = method == CleaningMethod.BLAST || method == CleaningMethod.TUMBLE;
        assertEquals(thrown, method.leavesGrit());
        assertEquals(
                method, CleaningMethod.ofKept(English.of(method.words())).orElseThrow(), "as older records have it");
        assertFalse(English.of(method.caution()).isBlank());
    }

    /** Whether it fits goes by the dirt that is there; with none said all that does no harm fits. */
    @Test
    void aMethodFitsTheDirtThatItTakesOff() {
        assertEquals(Cleaning.Fit.GOOD, fit(CleaningMethod.SOLVENT, Cleaning.Dirt.OIL));
        assertEquals(Cleaning.Fit.WEAK, fit(CleaningMethod.SOLVENT, Cleaning.Dirt.SCALE));
        assertEquals(Cleaning.Fit.GOOD, fit(CleaningMethod.SOLVENT));
        assertTrue(why(CleaningMethod.BLAST, Material.CAST_IRON).contains("; never on the face"));
        assertTrue(why(CleaningMethod.BLAST, Material.ALUMINIUM).contains("fine bead or vapour only"));
    }

    private static Cleaning.Fit fit(CleaningMethod method, Cleaning.Dirt... dirt) {
        return Cleaning.advice(method, new Cleaning.Asked(Material.CAST_IRON, false, Set.of(dirt)))
                .fit();
    }

    private static String why(CleaningMethod method, Material material) {
        return English.of(Cleaning.advice(method, new Cleaning.Asked(material, false, Set.of()))
                .why());
    }

    private static Crack crack(Material material, CrackPlace place, PartKind kind, boolean suspect) {
        return new Crack(kind, material, place, suspect ? 0 : 20, Set.of(), CrackMethod.DYE, suspect);
    }

    @Test
    void theLadderHoldsWhatCanBeDoneToThatMetalAndPlace() {
        List<Remedy> iron = CrackRules.ladder(crack(Material.CAST_IRON, CrackPlace.FACE, PartKind.HEAD, false));
        assertTrue(iron.containsAll(List.of(Remedy.STITCH, Remedy.LEAVE, Remedy.SCRAP)));
        assertTrue(java.util.Collections.disjoint(
                iron, List.of(Remedy.WELD, Remedy.SLEEVE, Remedy.STITCH_AND_INSERT, Remedy.PROVE)));
        assertTrue(CrackRules.ladder(crack(Material.ALUMINIUM, CrackPlace.FACE, PartKind.HEAD, false))
                .containsAll(List.of(Remedy.WELD)));
        assertTrue(CrackRules.ladder(crack(Material.CAST_IRON, CrackPlace.BORE_WALL, PartKind.DECK, false))
                .containsAll(List.of(Remedy.SLEEVE)));
        assertTrue(CrackRules.ladder(crack(Material.CAST_IRON, CrackPlace.BETWEEN_SEATS, PartKind.HEAD, false))
                .containsAll(List.of(Remedy.STITCH_AND_INSERT)));
        assertTrue(CrackRules.ladder(crack(Material.CAST_IRON, CrackPlace.SEAT_TO_WATER, PartKind.HEAD, true))
                .containsAll(List.of(Remedy.PROVE)));
        assertTrue(java.util.Collections.disjoint(
                CrackRules.ladder(crack(Material.CAST_IRON, CrackPlace.SEAT_TO_WATER, PartKind.HEAD, true)),
                List.of(Remedy.LEAVE)));
    }

    private static Decay held(double from, double minutes, double lost) {
        return Decay.of(
                List.of(
                        new Reading(from, 3, OptionalDouble.of(20)),
                        new Reading(from + minutes, 3 - lost, OptionalDouble.of(20))),
                false,
                Bubbles.NONE,
                Decay.Asked.DEFAULT);
    }

    /** Times count from the first reading, whenever the clock was started. */
    @ParameterizedTest
    @CsvSource({
        "0, 10, 0.05, WITHIN",
        "2, 10, 0.05, WITHIN",
        "2, 9, 0, NOT_PROVEN",
        "0, 10, 0.0501, OUT",
        "2, 10, 0.0501, OUT",
        "0, 10, 0, WITHIN"
    })
    void whatMayBeLostMayBeLost(double from, double minutes, double lost, Verdict verdict) {
        assertEquals(verdict, held(from, minutes, lost).verdict());
        assertEquals(minutes, held(from, minutes, lost).minutes(), 1e-9);
    }

    @Test
    void aLeakOfNoTimeIsNone() {
        Decay.Asked known = new Decay.Asked(10, 0.05, OptionalDouble.of(5000));
        Decay one = Decay.of(List.of(new Reading(3, 3, OptionalDouble.of(20))), false, Bubbles.NONE, known);
        assertTrue(one.leak(known).isEmpty());
        assertTrue(held(0, 10, 0.05).leak(known).isPresent());
        assertTrue(held(0, 10, 0.05).leak(Decay.Asked.DEFAULT).isEmpty());
    }

    @ParameterizedTest
    @CsvSource({
        "0, 20, true",
        "10, 20, true",
        "10.01, 20, false",
        "3, 1, true",
        "3, 100, true",
        "3, 0.9, false",
        "3, 100.1, false"
    })
    void readingsAtTheirLimitsAreTaken(double bar, double celsius, boolean taken) {
        List<Reading> one = List.of(new Reading(0, bar, OptionalDouble.of(celsius)));
        if (taken) {
            assertEquals(
                    0, Decay.of(one, false, Bubbles.NONE, Decay.Asked.DEFAULT).lost(), 0);
        } else {
            assertThrows(BadInputException.class, () -> Decay.of(one, false, Bubbles.NONE, Decay.Asked.DEFAULT));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "1000, 6, 0.3, true",
        "1000.1, 6, 0.3, false",
        "0, 6, 0.3, false",
        "30, 1, 0.3, true",
        "30, 25, 0.3, true",
        "30, 25.1, 0.3, false",
        "30, 0.9, 0.3, false",
        "30, 6, 0, true",
        "30, 6, 0.9, true",
        "30, 6, 0.91, false",
        "30, 6, -0.01, false"
    })
    void pinsAreDrilledWithinTheirLimits(double length, double diameter, double overlap, boolean taken) {
        if (taken) {
            assertTrue(Stitch.of(length, diameter, overlap).pins() >= 2);
        } else {
            assertThrows(BadInputException.class, () -> Stitch.of(length, diameter, overlap));
        }
    }

    /** 42 is ten pitches of 4.2: eleven pins, and none for the last bit of rounding. */
    @Test
    void aWholeNumberOfPitchesNeedsNoPinMore() {
        Stitch stitch = Stitch.of(42, 6, 0.3);
        assertEquals(11, stitch.pins());
        assertEquals(4.2, stitch.pitch(), 1e-9);
        assertEquals(12, Stitch.of(42.1, 6, 0.3).pins());
        List<Spot> centres = stitch.centres(new Spot(10, 20), new Spot(10, 62));
        assertEquals(11, centres.size());
        near(centres.get(0), 10, 20);
        near(centres.get(5), 10, 41);
        near(centres.get(10), 10, 62);
        assertEquals(3, stitch.working().lines().size());
        assertTrue(stitch.working().lines().stream().anyMatch(l -> English.of(l).contains("a general default")));
        assertTrue(Stitch.of(42, 6, 0.4).working().lines().stream()
                .noneMatch(l -> English.of(l).contains("a general default")));
    }
}
