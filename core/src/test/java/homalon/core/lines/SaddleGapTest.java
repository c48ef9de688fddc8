package homalon.core.lines;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.face.Gap;
import homalon.core.input.BadInputException;
import homalon.core.lines.SaddleGap.Tried;
import homalon.core.lines.ShaftLine.Between;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SaddleGapTest {
    private static final Length LIMIT = Length.ofMm("0.05");

    @ParameterizedTest
    @CsvSource({
        "+, 0.05, true",
        "-, 0.05, false",
        "\u2212, 0.05, false",
        "0, 0.05, false",
        "0.08-, 0.08, false",
        "-0.08, 0.08, false",
        "+0.03, 0.03, true",
        "0.03+, 0.03, true"
    })
    void aBladeIsKeyedWithItsSign(String typed, String blade, boolean goes) {
        assertEquals(new Tried(Length.ofMm(blade), goes), Tried.parse(typed, LIMIT, BenchUnit.MM));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0.05", "+0.05-", "+-", "6+"})
    void anythingElseIsToldWhatToKey(String typed) {
        assertThrows(BadInputException.class, () -> Tried.parse(typed, LIMIT, BenchUnit.MM));
    }

    private static Gap gap(String... said) {
        Gap gap = Gap.UNTRIED;
        for (String each : said) {
            gap = Tried.parse(each, LIMIT, BenchUnit.MM).after(gap);
        }
        return gap;
    }

    @Test
    void refusedIsUnderTheBladeAndGoesIsAnythingOverIt() {
        assertEquals(-0.05, one("-").at(98, 0.08).least());
        assertEquals(0, one("-").at(98, 0.08).most(), 0);
        assertEquals(new Between(98, Double.NEGATIVE_INFINITY, -0.05, 0.08), one("+").at(98, 0.08));
        assertEquals(new Between(98, -0.08, -0.05, 0.08), one("+", "0.08-").at(98, 0.08));
        assertTrue(one("+").goes(LIMIT) && one("0.06+").goes(LIMIT));
        assertFalse(one("-").goes(LIMIT) || one("0.04+").goes(LIMIT));
        // A later try wins: the first was dirt.
        assertFalse(one("+", "-").goes(LIMIT));
    }

    private static SaddleGap one(String... said) {
        return new SaddleGap(List.of(gap(said)));
    }

    @Test
    void aShaftLiesOnTheHigherSideOfASaddle() {
        SaddleGap both = new SaddleGap(List.of(gap("0.08+", "0.1-"), gap("-")));
        Between between = both.at(0, 0.08);
        assertEquals(-0.05, between.least());
        assertEquals(0, between.most(), 0);
        assertTrue(both.goes(LIMIT));
        assertEquals(Optional.of(Length.ofMm("0.03")), both.askew());
        assertEquals(Optional.of(Length.ofMm("0.03")), new SaddleGap(List.of(gap("-"), gap("0.08+"))).askew());
        assertEquals(Optional.empty(), new SaddleGap(List.of(gap("+"), gap("-"))).askew(), "they may be alike");
        SaddleGap half = new SaddleGap(List.of(gap("-"), Gap.UNTRIED));
        assertFalse(half.isTried());
        assertThrows(IllegalStateException.class, () -> half.at(0, 0.08));
    }

    private static ShaftLine.Span line(double clearance, double running, SaddleGap... saddles) {
        List<Between> all = new ArrayList<>();
        for (SaddleGap s : saddles) {
            all.add(s.at(98.0 * all.size(), clearance));
        }
        return ShaftLine.between(all, running);
    }

    /** One blade as thick as clearance less running clearance, refused everywhere, proves the line. */
    @Test
    void theLimitBladeAloneProvesALine() {
        assertEquals(
                Turns.FREE,
                line(0.08, 0.03, one("-"), one("-"), one("-"), one("-")).verdict());
        assertEquals(
                Turns.NOT_PROVEN,
                line(0.08, 0.031, one("-"), one("-"), one("-")).verdict());
    }

    @Test
    void whereItGoesOnlyThickerBladesSettleIt() {
        ShaftLine.Span open = line(0.08, 0.03, one("-"), one("+"), one("-"));
        assertEquals(Turns.NOT_PROVEN, open.verdict());
        assertEquals(Double.NEGATIVE_INFINITY, open.least());
        // Both ends may stand as low as the middle.
        assertEquals(0.08, open.most(), 1e-9);
        ShaftLine.Span bound = line(0.08, 0.03, one("0.02-"), one("0.12+"), one("0.02-"));
        assertEquals(Turns.BINDS, bound.verdict());
        assertEquals(-0.02, bound.most(), 1e-9);
        assertEquals(
                Turns.FREE,
                line(0.12, 0.03, one("0.02-"), one("+", "0.08-"), one("0.02-")).verdict());
    }
}
