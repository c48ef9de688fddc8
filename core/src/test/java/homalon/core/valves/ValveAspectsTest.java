package homalon.core.valves;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.gauge.Uncertain;
import homalon.core.input.BadInputException;
import homalon.core.part.ValveKind;
import homalon.core.rulebook.Source;
import homalon.core.valves.Aspect.Subject;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each thing that is judged of a valve, at its very limit and a hair beyond it. */
class ValveAspectsTest {
    private static ValveBook book(ValveKind kind, Object... pairs) {
        Map<BookItem, ValveBook.Entry> entries = new EnumMap<>(BookItem.class);
        for (int i = 0; i < pairs.length; i += 2) {
            entries.put((BookItem) pairs[i], new ValveBook.Entry((Double) pairs[i + 1], Source.MAKER));
        }
        return new ValveBook(kind, entries);
    }

    private static ValveReadings read(Set<Look> looks, Object... pairs) {
        Map<Measure, Double> figures = new EnumMap<>(Measure.class);
        for (int i = 0; i < pairs.length; i += 2) {
            figures.put((Measure) pairs[i], (Double) pairs[i + 1]);
        }
        return new ValveReadings(figures, looks);
    }

    /** One reading against the figure of the book that judges it. */
    @ParameterizedTest
    @CsvSource({
        // measure, value, book item, its figure, subject, verdict, says
        "RUNOUT, 0.05, RUNOUT_GOOD, 0.05, RUNOUT, WITHIN, runs true",
        "RUNOUT, 0.0501, RUNOUT_GOOD, 0.05, RUNOUT, NOT_PROVEN, between good and bad",
        "RUNOUT, 0.08, RUNOUT_BAD, 0.08, RUNOUT, NOT_PROVEN, between good and bad",
        "RUNOUT, 0.0801, RUNOUT_BAD, 0.08, RUNOUT, OUT, runs out",
        "PITS, 0, SINK, 0.5, PITS, WITHIN, no pits",
        "PITS, 0.001, SINK, 0.5, PITS, OUT, pits to clean",
        "VACUUM, 60, VACUUM, 60, VACUUM, WITHIN, holds vacuum",
        "VACUUM, 59.9, VACUUM, 60, VACUUM, OUT, does not hold",
        "FALL, 10, FALL, 10, FALL, WITHIN, slowly enough",
        "FALL, 9.9, FALL, 10, FALL, OUT, too fast",
        "MARGIN, 0.8, MARGIN, 0.8, MARGIN, WITHIN, margin within",
        "MARGIN, 0.799, MARGIN, 0.8, MARGIN, OUT, another valve",
        "RECESSION, 1.2, RECESSION, 1.2, HEIGHT, WITHIN, height within",
        "RECESSION, 1.201, RECESSION, 1.2, HEIGHT, OUT, sunk below",
        "TIP, 40, TIP, 40, HEIGHT, WITHIN, tip within",
        "TIP, 40.001, TIP, 40, HEIGHT, OUT, stands too high",
        "SEAT_WIDTH, 1.0, WIDTH_LEAST, 1.0, WIDTH, WITHIN, width within",
        "SEAT_WIDTH, 0.999, WIDTH_LEAST, 1.0, WIDTH, OUT, too narrow",
        "SEAT_WIDTH, 1.5, WIDTH_MOST, 1.5, WIDTH, WITHIN, width within",
        "SEAT_WIDTH, 1.501, WIDTH_MOST, 1.5, WIDTH, OUT, too wide"
    })
    void everyLimitStillCountsAsKept(
            Measure measure,
            double value,
            BookItem item,
            double figure,
            Subject subject,
            Verdict verdict,
            String says) {
        ValveBook book = book(ValveKind.INTAKE, item, figure);
        Aspect aspect = ValveJudge.of(read(Set.of(), measure, value), book)
                .aspect(subject)
                .orElseThrow();
        assertTrue(aspect.is(verdict), () -> verdict + " wanted: " + aspect);
        assertTrue(English.of(aspect.says()).contains(says), English.of(aspect.says()));
        assertEquals(Uncertain.exact(value), aspect.figure().orElseThrow());
        if (verdict == Verdict.OUT && subject != Subject.PITS) {
            assertEquals(figure, aspect.limit().orElseThrow(), "the limit that it broke");
        }
        ValveFinding nothing = ValveJudge.of(ValveReadings.NONE, book);
        assertTrue(nothing.aspects().isEmpty(), "what was not read is not judged");
        boolean seat = subject != Subject.MARGIN && subject != Subject.HEIGHT;
        ValveFinding finding = ValveJudge.of(read(Set.of(), measure, value), book);
        assertEquals(seat && verdict == Verdict.OUT, finding.seatBad());
        assertEquals(
                seat && verdict == Verdict.OUT, English.of(finding.seatSays()).contains(says));
        assertEquals(verdict == Verdict.OUT, finding.out(subject));
        assertEquals(verdict == Verdict.OUT ? Verdict.OUT : Verdict.NOT_PROVEN, finding.verdict());
        assertFalse(finding.settled() || finding.guideWorn());
        assertTrue(finding.begun());
    }

    private static final Object[] GUIDE = {
        Measure.STEM_TOP,
        7.96,
        Measure.GUIDE_TOP_ALONG,
        8.0,
        Measure.GUIDE_TOP_ACROSS,
        8.0,
        Measure.GUIDE_MIDDLE_ALONG,
        8.0,
        Measure.GUIDE_MIDDLE_ACROSS,
        8.0,
        Measure.GUIDE_BOTTOM_ALONG,
        8.0,
        Measure.GUIDE_BOTTOM_ACROSS,
        8.0
    };

    /** A guide at its limits: service 0.10, mouth and ovality 0.03, least clearance 0.03. */
    @ParameterizedTest
    @CsvSource({
        // top along and across, middle, bottom along and across, stem, verdict, says
        "8.00, 8.00, 8.00, 8.00, 8.00, 7.96, WITHIN, guide within",
        "8.06, 8.06, 8.06, 8.06, 8.06, 7.96, WITHIN, guide within",
        "8.0601, 8.0601, 8.06, 8.06, 8.06, 7.96, OUT, worn beyond service",
        "8.03, 8.03, 8.00, 8.00, 8.00, 7.96, WITHIN, guide within",
        "8.031, 8.031, 8.00, 8.00, 8.00, 7.96, OUT, 'bell-mouthed at the top, the spring side'",
        "8.00, 8.00, 8.00, 8.031, 8.031, 7.96, OUT, 'bell-mouthed at the bottom, the port side'",
        "8.031, 8.031, 8.00, 8.031, 8.031, 7.96, OUT, bell-mouthed at both ends",
        "8.00, 8.03, 8.00, 8.00, 8.00, 7.96, WITHIN, guide within",
        "8.00, 8.031, 8.00, 8.00, 8.00, 7.96, OUT, 'oval at the top, across'",
        "8.031, 8.00, 8.00, 8.00, 8.00, 7.96, OUT, 'oval at the top, along'",
        "8.00, 8.00, 8.00, 8.00, 8.031, 7.96, OUT, 'oval at the bottom, across'",
        "8.00, 8.00, 8.00, 8.00, 8.00, 7.97, WITHIN, guide within",
        "8.00, 8.00, 8.00, 8.00, 8.00, 7.971, OUT, tight"
    })
    void guides(double ta, double tx, double m, double ba, double bx, double stem, Verdict verdict, String says) {
        ValveBook book = book(
                ValveKind.INTAKE,
                BookItem.CLEARANCE_LEAST,
                0.03,
                BookItem.CLEARANCE_MOST,
                0.06,
                BookItem.CLEARANCE_SERVICE,
                0.10);
        ValveFinding finding = ValveJudge.of(
                read(
                        Set.of(Look.GOOD),
                        Measure.STEM_TOP,
                        stem,
                        Measure.GUIDE_TOP_ALONG,
                        ta,
                        Measure.GUIDE_TOP_ACROSS,
                        tx,
                        Measure.GUIDE_MIDDLE_ALONG,
                        m,
                        Measure.GUIDE_MIDDLE_ACROSS,
                        m,
                        Measure.GUIDE_BOTTOM_ALONG,
                        ba,
                        Measure.GUIDE_BOTTOM_ACROSS,
                        bx),
                book);
        Aspect guide = finding.aspect(Subject.GUIDE).orElseThrow();
        assertTrue(guide.is(verdict) && English.of(guide.says()).contains(says), () -> guide.toString());
        assertEquals(verdict, finding.verdict());
        assertEquals(verdict == Verdict.OUT, finding.guideWorn());
        assertEquals(guide.figure().isPresent(), finding.guide().isPresent(), "what was measured is handed on");
        assertTrue(finding.settled(), "read through and looked at");
        assertTrue(guide.working().orElseThrow().lines().size() >= 7, "the whole sum is shown");
    }

    /** A valve is as good as all that was read of it: one thing between good and bad leaves it open. */
    @ParameterizedTest
    @CsvSource({"0.05, WITHIN, true", "0.06, NOT_PROVEN, false", "0.081, OUT, true"})
    void oneThingThatIsOpenLeavesTheValveOpen(double runout, Verdict verdict, boolean settled) {
        Object[] all = Arrays.copyOf(GUIDE, GUIDE.length + 2);
        all[GUIDE.length] = Measure.RUNOUT;
        all[GUIDE.length + 1] = runout;
        ValveFinding finding = ValveJudge.of(
                read(Set.of(Look.GOOD), all),
                book(ValveKind.INTAKE, BookItem.RUNOUT_GOOD, 0.05, BookItem.RUNOUT_BAD, 0.08));
        assertEquals(verdict, finding.verdict());
        assertEquals(settled, finding.settled());
    }

    /** By rocking: over the service limit it is worn, up to it within; without the guide's length nothing is said. */
    @ParameterizedTest
    @CsvSource({
        "0.2, 50, 50, 0.066, WITHIN",
        "0.3, 50, 50, 0.1, WITHIN",
        "0.301, 50, 50, 0.1003, OUT",
        "0.2, 50, , , NOT_PROVEN"
    })
    void rocked(double play, double reach, Double length, Double clearance, Verdict verdict) {
        ValveBook book = length == null
                ? book(ValveKind.INTAKE, BookItem.CLEARANCE_SERVICE, 0.10)
                : book(ValveKind.INTAKE, BookItem.CLEARANCE_SERVICE, 0.10, BookItem.GUIDE_LENGTH, length);
        Aspect guide = ValveJudge.of(read(Set.of(), Measure.PLAY, play, Measure.REACH, reach), book)
                .aspect(Subject.GUIDE)
                .orElseThrow();
        assertTrue(guide.is(verdict), guide::toString);
        assertEquals(
                clearance == null ? Double.NaN : clearance,
                guide.figure().map(Uncertain::value).orElse(Double.NaN),
                7e-4);
        String says = switch (verdict) {
            case WITHIN -> "within, by rocking";
            case OUT -> "worn beyond service, by rocking";
            case NOT_PROVEN -> "key the guide's length";
        };
        assertTrue(English.of(guide.says()).contains(says), English.of(guide.says()));
        assertTrue(
                ValveJudge.of(read(Set.of(), Measure.PLAY, play), book)
                        .aspects()
                        .isEmpty(),
                "play alone says nothing");
        assertTrue(ValveJudge.of(read(Set.of(), Measure.REACH, reach), book)
                .aspects()
                .isEmpty());
    }

    /** A hand proves nothing; what was measured comes before what was felt. */
    @ParameterizedTest
    @CsvSource({"1, good by feel, true", "2, rocks by feel, false"})
    void judgedByFeel(double feel, String says, boolean mayBeSigned) {
        ValveBook book = book(ValveKind.INTAKE, BookItem.GUIDE_LENGTH, 50.0, BookItem.CLEARANCE_SERVICE, 0.1);
        ValveReadings felt = read(Set.of(Look.GOOD), Measure.FEEL, feel);
        ValveFinding finding = ValveJudge.of(felt, book);
        Aspect guide = finding.aspect(Subject.GUIDE).orElseThrow();
        assertTrue(guide.is(Verdict.NOT_PROVEN) && English.of(guide.says()).contains(says), English.of(guide.says()));
        assertEquals(Verdict.NOT_PROVEN, finding.verdict());
        assertFalse(finding.settled() || finding.guideWorn());
        assertEquals(mayBeSigned, finding.forAnswer(felt));
        ValveReadings unseen = read(Set.of(), Measure.FEEL, feel);
        assertFalse(ValveJudge.of(unseen, book).forAnswer(unseen), "nobody looked at the seat");
        ValveReadings open = read(Set.of(Look.GOOD), Measure.FEEL, feel, Measure.RUNOUT, 0.06);
        assertFalse(ValveJudge.of(open, book).forAnswer(open), "something else is open");
        ValveReadings rocked = read(Set.of(Look.GOOD), Measure.FEEL, feel, Measure.PLAY, 0.2, Measure.REACH, 50.0);
        assertTrue(
                ValveJudge.of(rocked, book).aspect(Subject.GUIDE).orElseThrow().is(Verdict.WITHIN));
        assertFalse(ValveJudge.of(rocked, book).forAnswer(rocked), "it was measured");
        ValveReadings end = read(
                Set.of(Look.GOOD),
                Measure.FEEL,
                feel,
                Measure.STEM_TOP,
                7.96,
                Measure.GUIDE_TOP_ALONG,
                8.0,
                Measure.GUIDE_TOP_ACROSS,
                8.0);
        assertFalse(ValveJudge.of(end, book).forAnswer(end), "one end was measured: the other is, too");
    }

    /** Looks: good is within, bad is out, where it touches alone is told. */
    @ParameterizedTest
    @CsvSource({
        "1, WITHIN, good, false, false",
        "2, OUT, pitted, true, false",
        "3, OUT, burnt, true, true",
        "5, OUT, loose insert, true, true",
        "17, WITHIN, 'good, contact near the rim', false, false",
        "8, WITHIN, contact in the middle, false, false"
    })
    void looks(String digits, Verdict verdict, String says, boolean bad, boolean insert) {
        Set<Look> seen = Look.read(digits);
        Aspect looks = ValveJudge.of(read(seen), book(ValveKind.EXHAUST))
                .aspect(Subject.LOOKS)
                .orElseThrow();
        assertTrue(looks.is(verdict));
        assertEquals(says, English.of(looks.says()));
        assertEquals(bad, seen.stream().anyMatch(Look::bad));
        assertEquals(insert, seen.stream().anyMatch(Look::asksInsert));
        assertEquals(
                digits.charAt(0),
                seen.stream().sorted().findFirst().orElseThrow().digit());
    }

    /** A spring against the book: as long within, longer to shim, shorter out. */
    @ParameterizedTest
    @CsvSource({
        "38.0, , 38, WITHIN, spring within",
        "38.39, , 38, WITHIN, spring within",
        "38.4, , 38, OUT, spring to shim",
        "37.9, , 38, OUT, stands shorter",
        "38.0, , , , none keyed",
        "38.4, 0.4, 38, WITHIN, spring within"
    })
    void springs(double measured, Double locator, Double specified, Verdict verdict, String says) {
        ValveBook book = specified == null
                ? book(ValveKind.INTAKE)
                : locator == null
                        ? book(ValveKind.INTAKE, BookItem.SPRING_HEIGHT, specified)
                        : book(ValveKind.INTAKE, BookItem.SPRING_HEIGHT, specified, BookItem.LOCATOR, locator);
        ValveReadings read = read(Set.of(), Measure.INSTALLED, measured);
        ValveFinding finding = ValveJudge.of(read, book);
        Aspect spring = finding.aspect(Subject.SPRING).orElseThrow();
        assertEquals(java.util.Optional.ofNullable(verdict), spring.verdict());
        assertTrue(English.of(spring.says()).contains(says), English.of(spring.says()));
        assertEquals(specified != null, finding.spring().isPresent());
        assertEquals(specified != null, ValveJudge.springAfter(read, book, 0.1).isPresent());
        assertTrue(ValveJudge.springAfter(ValveReadings.NONE, book, 0.1).isEmpty());
        finding.spring()
                .ifPresent(s -> assertEquals(
                        s.installed() + 0.1,
                        ValveJudge.springAfter(read, book, 0.1).orElseThrow().installed(),
                        1e-9));
    }

    /** What cannot stand beside the rest is refused before it is kept; equal is too much. */
    @ParameterizedTest
    @CsvSource({
        "SEAT_OUTER, 34, SEAT_INNER, 34, inside its outer edge",
        "SEAT_OUTER, 34, SEAT_INNER, 35, inside its outer edge",
        "STEM_TOP, 8, GUIDE_TOP_ALONG, 8, would not go in",
        "STEM_TOP, 8, GUIDE_MIDDLE_ACROSS, 7.99, would not go in",
        "STEM_TOP, 8, GUIDE_BOTTOM_ALONG, 7.9, would not go in",
        "SEAT_OUTER, 34, SEAT_INNER, 33.9, ''",
        "STEM_TOP, 8, GUIDE_TOP_ALONG, 8.001, ''",
        "STEM_TOP, 8, SEAT_INNER, 7, ''"
    })
    void whatCannotStandTogether(Measure one, double a, Measure other, double b, String says) {
        ValveReadings read = read(Set.of(), one, a, other, b);
        ValveBook book = book(ValveKind.INTAKE);
        if (says.isEmpty()) {
            ValveJudge.check(read, book);
            return;
        }
        String refused = English.of(assertThrows(BadInputException.class, () -> ValveJudge.check(read, book))
                .sentence());
        assertTrue(refused.contains(says), refused);
    }

    /** What is worst comes first, then what is open; nothing is within by what was not read. */
    @Test
    void whatIsSaidOfAValve() {
        ValveBook book = book(ValveKind.INTAKE);
        assertEquals(
                "nothing read yet",
                English.of(ValveJudge.of(ValveReadings.NONE, book).says()));
        assertEquals(
                "read stem and guide",
                English.of(ValveJudge.of(read(Set.of(Look.GOOD)), book).says()));
        assertEquals(
                "say what the seat looks like",
                English.of(ValveJudge.of(read(Set.of(), GUIDE), book).says()));
        assertEquals(
                "within",
                English.of(ValveJudge.of(read(Set.of(Look.GOOD), GUIDE), book).says()));
        assertEquals(
                "pitted",
                English.of(ValveJudge.of(read(Set.of(Look.PITTED), GUIDE), book).says()));
        assertEquals(
                "pitted; read stem and guide",
                English.of(ValveJudge.of(read(Set.of(Look.PITTED)), book).says()));
        assertTrue(ValveReadings.NONE.empty() && !read(Set.of(Look.GOOD)).empty());
    }

    /** Edges are read, or one edge and the width along the slope; a plan needs both, and the valve's head. */
    @Test
    void whatASeatIsPlannedFrom() {
        ValveBook book = book(ValveKind.INTAKE, BookItem.HEAD_DIAMETER, 35.0);
        ValveReadings edges = read(Set.of(), Measure.SEAT_OUTER, 34.0, Measure.SEAT_INNER, 31.0, Measure.RUNOUT, 0.07);
        assertEquals(31, ValveJudge.seatAsked(edges, book).orElseThrow().inner());
        assertEquals(0.07, ValveJudge.seatAsked(edges, book).orElseThrow().runout());
        assertEquals(0, ValveJudge.seatAsked(edges, book).orElseThrow().pitDepth());
        assertEquals(37, ValveJudge.seatAsked(edges, book).orElseThrow().topEnd());
        assertTrue(ValveJudge.seatAsked(edges, book(ValveKind.INTAKE)).isEmpty(), "the head is not known");
        assertTrue(ValveJudge.seatAsked(read(Set.of(), Measure.SEAT_INNER, 31.0), book)
                .isEmpty());
        ValveBook four = book(
                ValveKind.INTAKE, BookItem.HEAD_DIAMETER, 35.0, BookItem.BOWL_ANGLE, 75.0, BookItem.BOWL_EDGE, 29.0);
        assertEquals(
                OptionalDouble.of(29),
                ValveJudge.seatAsked(edges, four).orElseThrow().throatInner());
        assertTrue(ValveJudge.seatAsked(edges, book).orElseThrow().throatInner().isEmpty());
        assertEquals(ValveKind.INTAKE, book.kind());
    }

    /** What is taken only where another could not be, and what is a length. */
    @Test
    void walksAndUnits() {
        assertEquals(
                Set.of(Measure.Walk.ROCKING, Measure.Walk.FEEL, Measure.Walk.WIDTHS, Measure.Walk.FALLS),
                Set.copyOf(Arrays.stream(Measure.Walk.values())
                        .filter(Measure.Walk::instead)
                        .toList()));
        assertEquals(
                Set.of(Measure.FEEL, Measure.VACUUM, Measure.FALL, Measure.LOOKS),
                Set.copyOf(Arrays.stream(Measure.values())
                        .filter(m -> !m.isLength())
                        .toList()));
        assertEquals(
                Set.of(
                        BookItem.FACE_ANGLE,
                        BookItem.TOP_ANGLE,
                        BookItem.THROAT_ANGLE,
                        BookItem.BOWL_ANGLE,
                        BookItem.VACUUM,
                        BookItem.FALL,
                        BookItem.SPRING_RATE,
                        BookItem.ROCKER_RATIO),
                Set.copyOf(Arrays.stream(BookItem.values())
                        .filter(i -> !i.unit().isLength())
                        .toList()));
        for (Measure m : Measure.values()) {
            assertTrue(
                    m.least() <= m.most()
                            && m.walk().measures().contains(m)
                            && !English.of(m.words()).isEmpty(),
                    m.name());
        }
    }

    /** What a book may hold: the ends of each range, and what cannot stand beside each other. */
    @ParameterizedTest
    @CsvSource({
        "SINK, 0.05, '', 0, true",
        "SINK, 10, '', 0, true",
        "SINK, 0.049, '', 0, false",
        "SINK, 10.01, '', 0, false",
        "WIDTH_LEAST, 1.5, WIDTH_MOST, 1.5, true",
        "WIDTH_LEAST, 1.6, WIDTH_MOST, 1.5, false",
        "RUNOUT_GOOD, 0.08, RUNOUT_BAD, 0.08, true",
        "RUNOUT_GOOD, 0.09, RUNOUT_BAD, 0.08, false",
        "INSET_LEAST, 0.3, INSET, 0.3, true",
        "INSET_LEAST, 0.31, INSET, 0.3, false",
        "SPRING_FREE, 38.1, SPRING_HEIGHT, 38, true",
        "SPRING_FREE, 38, SPRING_HEIGHT, 38, false",
        "SPRING_SOLID, 37.9, SPRING_HEIGHT, 38, true",
        "SPRING_SOLID, 38, SPRING_HEIGHT, 38, false",
        "BOWL_ANGLE, 75, '', 0, false",
        "BOWL_ANGLE, 75, BOWL_EDGE, 28, true"
    })
    void whatABookMayHold(BookItem item, double value, String other, double second, boolean taken) {
        Object[] pairs = other.isEmpty()
                ? new Object[] {item, value}
                : new Object[] {item, value, BookItem.valueOf(other), second};
        if (taken) {
            assertEquals(value, book(ValveKind.EXHAUST, pairs).value(item));
        } else {
            assertThrows(BadInputException.class, () -> book(ValveKind.EXHAUST, pairs));
        }
    }
}
