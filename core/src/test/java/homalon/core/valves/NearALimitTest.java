package homalon.core.valves;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.part.ValveKind;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.Source;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.EnumMap;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What gauges leave open is kept on both sides of each limit of a guide and of the heights: within and out are proven by more than it. */
class NearALimitTest {
    /** A bore is open by 0.003 and a stem by 0.004, so that a clearance is by 0.005. */
    private static final BenchGauges GAUGES = new BenchGauges(0.004, 0.003, 0.006, 0.010, 0.005);

    private static ValveBook book() {
        Map<BookItem, ValveBook.Entry> entries = new EnumMap<>(BookItem.class);
        entries.put(BookItem.CLEARANCE_LEAST, new ValveBook.Entry(0.03, Source.MAKER));
        entries.put(BookItem.CLEARANCE_MOST, new ValveBook.Entry(0.06, Source.MAKER));
        entries.put(BookItem.CLEARANCE_SERVICE, new ValveBook.Entry(0.10, Source.MAKER));
        entries.put(BookItem.BELL_MOUTH, new ValveBook.Entry(0.02, Source.MAKER));
        entries.put(BookItem.OVALITY, new ValveBook.Entry(0.02, Source.MAKER));
        entries.put(BookItem.GUIDE_LENGTH, new ValveBook.Entry(50.0, Source.MAKER));
        entries.put(BookItem.RECESSION, new ValveBook.Entry(1.0, Source.MAKER));
        entries.put(BookItem.TIP, new ValveBook.Entry(40.0, Source.MAKER));
        return new ValveBook(ValveKind.INTAKE, entries);
    }

    private static ValveReadings guide(double stem, double... bores) {
        Map<Measure, Double> figures = new EnumMap<>(Measure.class);
        figures.put(Measure.STEM_TOP, stem);
        Measure[] at = {
            Measure.GUIDE_TOP_ALONG,
            Measure.GUIDE_TOP_ACROSS,
            Measure.GUIDE_MIDDLE_ALONG,
            Measure.GUIDE_MIDDLE_ACROSS,
            Measure.GUIDE_BOTTOM_ALONG,
            Measure.GUIDE_BOTTOM_ACROSS
        };
        for (int i = 0; i < bores.length; i++) {
            figures.put(at[i], bores[i]);
        }
        return new ValveReadings(figures, Set.of(Look.GOOD));
    }

    private static ValveReadings one(Object... pairs) {
        Map<Measure, Double> figures = new EnumMap<>(Measure.class);
        for (int i = 0; i < pairs.length; i += 2) {
            figures.put((Measure) pairs[i], (Double) pairs[i + 1]);
        }
        return new ValveReadings(figures, Set.of());
    }

    private static Aspect judged(ValveReadings read, BenchGauges gauges, Subject subject) {
        return ValveJudge.of(read, book(), gauges).aspect(subject).orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        // service 0.10, open by 0.005
        "0.095, WITHIN, guide within",
        "0.0951, NOT_PROVEN, the clearance is too near",
        "0.1, NOT_PROVEN, the clearance is too near",
        "0.105, NOT_PROVEN, the clearance is too near",
        "0.1051, OUT, worn beyond service",
        // new 0.03 at the least
        "0.035, WITHIN, guide within",
        "0.0349, NOT_PROVEN, the least clearance is too near",
        "0.025, NOT_PROVEN, the least clearance is too near",
        "0.0249, OUT, tight"
    })
    void aClearance(double clearance, Verdict verdict, String says) {
        double bore = 8 + clearance;
        ValveReadings read = guide(8, bore, bore, bore, bore, bore, bore);
        Aspect aspect = judged(read, GAUGES, Subject.GUIDE);
        assertTrue(aspect.is(verdict), aspect::toString);
        assertTrue(English.of(aspect.says()).contains(says), English.of(aspect.says()));
        assertEquals(verdict == Verdict.NOT_PROVEN, aspect.near());
        assertEquals(clearance, aspect.figure().orElseThrow().value(), 1e-9);
        assertEquals(0.005, aspect.figure().orElseThrow().kept(), 1e-9);
        Aspect exact = judged(read, BenchGauges.EXACT, Subject.GUIDE);
        assertFalse(exact.is(Verdict.NOT_PROVEN), "as it was read it is one of two");
        assertTrue(
                verdict == Verdict.NOT_PROVEN || exact.is(verdict),
                "what gauges leave open never turns a verdict over");
    }

    /** Bell mouth of means 0.02, open by 0.003; ovality 0.02, open by 0.003 times the root of two. */
    @ParameterizedTest
    @CsvSource({
        "0.017, 0, WITHIN, guide within",
        "0.0171, 0, NOT_PROVEN, the bell mouth is too near",
        "0.0231, 0, OUT, bell-mouthed",
        "0, 0.0157, WITHIN, guide within",
        "0, 0.0158, NOT_PROVEN, the ovality is too near",
        "0, 0.0243, OUT, oval"
    })
    void aShape(double mouth, double oval, Verdict verdict, String says) {
        double middle = 8.05;
        Aspect aspect = judged(
                guide(8, middle + mouth, middle + mouth, middle + oval / 2, middle - oval / 2, middle, middle),
                GAUGES,
                Subject.GUIDE);
        assertTrue(aspect.is(verdict), aspect::toString);
        assertTrue(English.of(aspect.says()).contains(says), English.of(aspect.says()));
    }

    /** The play of an indicator that is open by 0.006, a third of it at 50 below a guide of 50: open by 0.002. */
    @ParameterizedTest
    @CsvSource({"0.294, WITHIN", "0.2941, NOT_PROVEN", "0.306, NOT_PROVEN", "0.3061, OUT"})
    void aPlay(double play, Verdict verdict) {
        Aspect aspect = judged(one(Measure.PLAY, play, Measure.REACH, 50.0), GAUGES, Subject.GUIDE);
        assertTrue(aspect.is(verdict), aspect::toString);
        assertEquals(0.002, aspect.figure().orElseThrow().kept(), 1e-9);
    }

    @ParameterizedTest
    @CsvSource({
        "RECESSION, 0.99, WITHIN",
        "RECESSION, 0.991, NOT_PROVEN",
        "RECESSION, 1.011, OUT",
        "TIP, 39.99, WITHIN",
        "TIP, 40, NOT_PROVEN",
        "TIP, 40.011, OUT"
    })
    void aHeight(Measure measure, double value, Verdict verdict) {
        Aspect aspect = judged(one(measure, value), GAUGES, Subject.HEIGHT);
        assertTrue(aspect.is(verdict), aspect::toString);
    }

    /** What is near stays open until somebody answers for it; what nobody read, too, is not covered by that. */
    @Test
    void whatIsNearWantsAName() {
        ValveReadings near = guide(8, 8.098, 8.098, 8.098, 8.098, 8.098, 8.098);
        ValveFinding finding = ValveJudge.of(near, book(), GAUGES);
        assertEquals(Verdict.NOT_PROVEN, finding.verdict());
        assertFalse(finding.settled() || finding.guideWorn());
        assertTrue(finding.forAnswer(near));
        ValveReadings unseen = new ValveReadings(near.figures(), Set.of());
        assertFalse(ValveJudge.of(unseen, book(), GAUGES).forAnswer(unseen), "nobody looked at the seat");
        ValveReadings end = guide(8, 8.098, 8.098);
        assertTrue(
                English.of(judged(end, GAUGES, Subject.GUIDE).says()).contains("one end only"),
                "the other end may settle it");
        assertFalse(ValveJudge.of(end, book(), GAUGES).forAnswer(end));
        Map<Measure, Double> doubtful = new EnumMap<>(near.figures());
        doubtful.put(Measure.RUNOUT, 0.06);
        ValveReadings open = new ValveReadings(doubtful, Set.of(Look.GOOD));
        assertFalse(ValveJudge.of(open, book(), GAUGES).forAnswer(open), "its runout is open for another reason");
    }

    /** What is out by more than its gauges leave open is said before what is near. */
    @Test
    void outComesBeforeNear() {
        Aspect aspect = judged(guide(8, 8.098, 8.098, 8.070, 8.070, 8.070, 8.070), GAUGES, Subject.GUIDE);
        assertTrue(aspect.is(Verdict.OUT), aspect::toString);
        assertTrue(English.of(aspect.says()).contains("bell-mouthed"), English.of(aspect.says()));
    }
}
