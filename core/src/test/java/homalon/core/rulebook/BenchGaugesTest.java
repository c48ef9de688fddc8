package homalon.core.rulebook;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.catalogue.Item;
import homalon.core.gauge.Uncertain;
import homalon.core.guides.GuideFit;
import homalon.core.integrity.Decay;
import homalon.core.lines.Liners;
import homalon.core.lines.ShaftLine;
import homalon.core.lines.ShaftLine.Bore;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the gauges of a bench leave open, in each room whose figures they read. */
class BenchGaugesTest {
    private static final BenchGauges GAUGES = new BenchGauges(0.004, 0.003, 0.010, 0.010, 0.006);

    @Test
    void aShopsOwnFigureStandsForTheGeneralOne() {
        BenchGauges general = BenchGauges.of(BookDefaults.of(BenchUnit.MM));
        assertEquals(new BenchGauges(0.002, 0.003, 0.002, 0.01, 0.005), general);
        BookDefaults own = new BookDefaults(
                BenchUnit.MM, Map.of(BenchFigure.OFF_BORE.ofShop(), new BookDefaults.Own(0, "counts as exact here")));
        assertEquals(0, BenchGauges.of(own).bore());
        assertEquals(0.002, BenchGauges.of(own).fit(0.05).kept(), 1e-12);
    }

    @Test
    void whatWasHandedOverBeforeCountsAsExact() {
        ShopRules rules = ShopRules.of(BenchUnit.MM);
        assertEquals(BenchGauges.of(rules.books()), rules.gauges());
        assertEquals(
                BenchGauges.EXACT,
                rules.asBefore(new ShopRules.Before(false, false, true, false, false))
                        .gauges());
    }

    private static Liners.Read all(int number, double at) {
        return new Liners.Read(number, Collections.nCopies(4, OptionalDouble.of(at)));
    }

    /** Range 0.03 to 0.10, step 0.03, tilt 0.03; the indicator is open by 0.01. */
    @ParameterizedTest
    @CsvSource({
        "0.040, 0.040, WITHIN",
        "0.039, 0.039, NOT_PROVEN",
        "0.021, 0.021, NOT_PROVEN",
        "0.019, 0.019, OUT",
        "0.090, 0.090, WITHIN",
        "0.091, 0.091, NOT_PROVEN",
        "0.111, 0.111, OUT",
        "0.050, 0.070, WITHIN",
        "0.050, 0.071, NOT_PROVEN",
        "0.045, 0.086, OUT"
    })
    void liners(double first, double second, Verdict verdict) {
        Liners liners = Liners.of(
                List.of(all(1, first), all(2, second)), 0, Liners.School.PROUD.usual(), Liners.Held.LOOSE, GAUGES);
        assertEquals(verdict, liners.verdict());
        if (verdict == Verdict.NOT_PROVEN && first == second) {
            assertTrue(English.of(liners.each().get(0).why()).contains("too near its limit"));
        }
    }

    /** A lean of 0.03 is read twice: open by 0.01 times the root of two. */
    @ParameterizedTest
    @CsvSource({"0.0158, WITHIN", "0.0159, NOT_PROVEN", "0.0441, NOT_PROVEN", "0.0442, OUT"})
    void aLean(double lean, Verdict verdict) {
        Liners.Read leans = new Liners.Read(
                1,
                List.of(
                        OptionalDouble.of(0.065 + lean / 2),
                        OptionalDouble.of(0.065),
                        OptionalDouble.of(0.065 - lean / 2),
                        OptionalDouble.of(0.065)));
        Liners.Range wide = new Liners.Range(0.0, 0.2, 0.065, 0.03, 0.03);
        assertEquals(
                verdict,
                Liners.of(List.of(leans), 0, wide, Liners.Held.LOOSE, GAUGES).verdict());
    }

    /** Two bores stand in any line: only what is left of the tighter one's clearance is open, by 0.005. */
    @ParameterizedTest
    @CsvSource({
        "0.0451, FREE",
        "0.0449, NOT_PROVEN",
        "0.0351, NOT_PROVEN",
        "0.0349, TIGHT",
        "0.0051, TIGHT",
        "0.0049, NOT_PROVEN"
    })
    void twoBores(double clearance, Turns turns) {
        List<Bore> bores = List.of(new Bore(0, 0, 0, clearance), new Bore(300, 0.02, 0, 0.09));
        assertEquals(turns, ShaftLine.of(bores, 0.04, GAUGES).verdict());
    }

    /** What is told to be open covers what comes of readings that are off: 19 times in 20, upright and in space. */
    @ParameterizedTest
    @CsvSource({"false", "true"})
    void whatIsOpenOfALineCoversReadingsThatAreOff(boolean sideways) {
        List<Bore> bores = List.of(
                new Bore(0, 0, 0, 0.09),
                new Bore(110, 0.05, sideways ? 0.03 : 0, 0.08),
                new Bore(220, 0.04, sideways ? 0.01 : 0, 0.09),
                new Bore(330, 0.0, 0, 0.10));
        ShaftLine line = ShaftLine.of(bores, 0.03);
        Uncertain open = ShaftLine.open(bores, line, GAUGES);
        Random random = new Random(7);
        int held = 0;
        for (int i = 0; i < 400; i++) {
            List<Bore> off = new ArrayList<>();
            for (Bore b : bores) {
                off.add(new Bore(
                        b.at(),
                        b.height() + GAUGES.indicator() / 2 * random.nextGaussian(),
                        sideways ? b.sideways() + GAUGES.indicator() / 2 * random.nextGaussian() : 0,
                        b.clearance() + GAUGES.fit(0).standard() * random.nextGaussian()));
            }
            held += Math.abs(ShaftLine.of(off, 0.03).clearanceLeft() - line.clearanceLeft()) <= open.kept() ? 1 : 0;
        }
        assertTrue(held > 365 && held < 398, held + " of 400");
        assertEquals(line.clearanceLeft(), open.value());
    }

    private static Decay.Reading reading(double minute, double bar) {
        return new Decay.Reading(minute, bar, OptionalDouble.of(20));
    }

    private static final Decay.Asked ASKED = new Decay.Asked(10, 0.05, OptionalDouble.empty());

    /**
     * At 3 bar: the gauge, read twice, leaves 0.006 times the root of two open, half a kelvin between two temperatures 0.0068 of 4 bar: 0.0109
     * together.
     */
    @ParameterizedTest
    @CsvSource({"0.039, WITHIN", "0.040, NOT_PROVEN", "0.060, NOT_PROVEN", "0.061, OUT"})
    void aTest(double lost, Verdict verdict) {
        List<Decay.Reading> readings = List.of(reading(0, 3), reading(10, 3 - lost));
        Decay decay = Decay.of(readings, false, Decay.Bubbles.NONE, ASKED, GAUGES);
        assertEquals(verdict, decay.verdict(), English.of(decay.why()));
        assertEquals(
                0.0109,
                Decay.lost(readings.get(0), readings.get(1), false, GAUGES).kept(),
                1e-4);
        assertEquals(
                verdict == Verdict.NOT_PROVEN, English.of(decay.why()).contains("too near"), English.of(decay.why()));
        assertFalse(
                Decay.of(readings, false, Decay.Bubbles.NONE, ASKED).verdict() == Verdict.NOT_PROVEN,
                "as it was read it is one of two");
    }

    /** Where the volume is known a longer hold tells more: it says so. */
    @Test
    void aLongerHoldTellsMoreOfAKnownVolume() {
        Decay.Asked volume = new Decay.Asked(10, 0.05, OptionalDouble.of(1500));
        double most = Decay.MOST_LEAK * 10 * Decay.ATMOSPHERE / 1500;
        Decay near = Decay.of(
                List.of(reading(0, 3), reading(10, 3 - most + 0.005)), false, Decay.Bubbles.NONE, volume, GAUGES);
        assertEquals(Verdict.NOT_PROVEN, near.verdict());
        assertTrue(English.of(near.why()).contains("hold it longer"), English.of(near.why()));
        Decay longer = Decay.of(
                List.of(reading(0, 3), reading(10, 3 - most + 0.005), reading(40, 3 - 4 * (most - 0.005))),
                false,
                Decay.Bubbles.NONE,
                volume,
                GAUGES);
        assertEquals(Verdict.WITHIN, longer.verdict(), English.of(longer.why()));
    }

    /** Press 0.02 to 0.05 wanted in iron; general gauges leave 0.0036 open of it. */
    @ParameterizedTest
    @CsvSource({
        "0.0199, LOOSE",
        "0.0201, NEAR",
        "0.0235, NEAR",
        "0.0237, BITES",
        "0.0463, BITES",
        "0.0465, NEAR",
        "0.0501, TIGHT"
    })
    void aGuideInItsHousing(double press, GuideFit.Answer answer) {
        Item guide = new Item("G-14", Item.Kind.GUIDE, "", 14 + press, 8, 50, Optional.empty(), OptionalDouble.empty());
        GuideFit fit = GuideFit.of(14, Material.CAST_IRON, List.of(guide), BookDefaults.of(BenchUnit.MM));
        assertEquals(answer, fit.each().get(0).answer());
        assertEquals(
                answer == GuideFit.Answer.BITES || answer == GuideFit.Answer.NEAR,
                fit.each().get(0).answer().sits());
    }
}
