package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.words.English;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is proposed for the next pass, and which depths are asked about. */
class PassPlanTest {
    /** Skim 0.01, three passes to 0.13, finish to 0.15. */
    private static final PassPlan PLAN = PassPlan.toClean(
            0.15,
            new PassPlan.Depths(Length.ofMm("0.01"), Length.ofMm("0.05"), Length.ofMm("0.02")),
            Length.ofMm("0.01"));

    @ParameterizedTest
    @CsvSource({
        // cut already, proposed in mm, proposed in thou
        "0,      0.010, 0.39",
        "0.01,   0.040, 1.57",
        "0.05,   0.040, 1.57",
        "0.03,   0.020, 0.79",
        "0.055,  0.035, 1.38",
        "0.13,   0.020, 0.79",
        "0.149,  0.001, 0.04",
        "0.15,   '',    ''",
        "0.16,   '',    ''"
    })
    void whatIsLeftOfThePassThatComesNext(String off, String mm, String thou) {
        Length cut = Length.ofMm(off);
        assertEquals(mm, said(cut, BenchUnit.MM));
        assertEquals(thou, said(cut, BenchUnit.THOU));
    }

    private static String said(Length off, BenchUnit unit) {
        return PLAN.next(off, unit).map(new LengthWriter(unit)::number).orElse("");
    }

    /** Whoever keys what is proposed, in either unit, comes through the plan, in as many passes, and hardly past it. */
    @Test
    void keyingWhatIsProposedEndsThePlan() {
        Random random = new Random(4);
        for (int i = 0; i < 500; i++) {
            double toClean = 0.005 + random.nextInt(300) / 1000.0 + random.nextDouble() / 1000;
            PassPlan plan = PassPlan.toClean(
                    toClean, PassPlan.Depths.usual(BenchUnit.MM), Length.ofMm(i % 2 == 0 ? "0.001" : "0.01"));
            for (BenchUnit unit : BenchUnit.values()) {
                Length off = Length.ZERO;
                int made = 0;
                for (Optional<Length> next = plan.next(off, unit); next.isPresent(); next = plan.next(off, unit)) {
                    // Only what is shown is keyed.
                    String keyed = new LengthWriter(unit).number(next.get());
                    assertTrue(
                            English.of(plan.odd(off, Length.parse(keyed, unit), new LengthWriter(unit)))
                                    .isEmpty(),
                            keyed);
                    off = off.plus(Length.parse(keyed, unit));
                    made++;
                }
                assertTrue(off.compareTo(plan.total()) >= 0, plan + " ends at " + off);
                assertTrue(off.minus(plan.total()).mm() < 0.001, plan + " ends at " + off);
                assertEquals(plan.passes().size(), made);
            }
        }
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "0;    0.010; ''",
                "0;    0.020; ''",
                "0;    0.5;   That goes 0.350 mm past the plan of 0.150 mm.",
                "0;    0.05;  'Planned next are 0.010 mm, not 0.050 mm.'",
                "0;    0.001; 'Planned next are 0.010 mm, not 0.001 mm.'",
                "0.01; 0.05;  ''",
                "0.01; 0.1;   ''",
                "0.01; 0.11;  'Planned next are 0.040 mm, not 0.110 mm.'",
                "0.13; 0.02;  ''",
                "0.13; 0.021; That goes 0.001 mm past the plan of 0.150 mm.",
                "0.15; 0.01;  The plan is through: this goes 0.010 mm past it."
            })
    void anOddDepthIsAskedAbout(String off, String depth, String asked) {
        assertEquals(
                asked,
                English.of(PLAN.odd(Length.ofMm(off), Length.ofMm(depth), new LengthWriter(BenchUnit.MM)))
                        .orElse(""));
    }

    @ParameterizedTest
    @CsvSource({"0.05, false", "0.20, false", "0.21, true", "0.5, true"})
    void withoutAPlanADeepOneIs(String depth, boolean asked) {
        PassPlan none = new PassPlan(java.util.List.of());
        assertEquals(
                asked,
                English.of(none.odd(Length.ZERO, Length.ofMm(depth), new LengthWriter(BenchUnit.MM)))
                        .isPresent());
        assertEquals(Optional.empty(), none.next(Length.ZERO, BenchUnit.MM));
    }

    /** Through steel nothing is cut deeper than it stands; what was keyed shallower stays. */
    @ParameterizedTest
    @CsvSource({
        "MM, 0.01, 0.05, 0.02, 0.01, 0.04, 0.02",
        "MM, 0.06, 0.03, 0.05, 0.04, 0.03, 0.04",
        "THOU, 0.0127, 0.0508, 0.0254, 0.0127, 0.0381, 0.0254"
    })
    void passesThroughSteelAreShallow(
            BenchUnit unit, String skim, String deepest, String finish, String s, String d, String f) {
        PassPlan.Depths depths =
                new PassPlan.Depths(Length.ofMm(skim), Length.ofMm(deepest), Length.ofMm(finish)).throughSteel(unit);
        assertEquals(new PassPlan.Depths(Length.ofMm(s), Length.ofMm(d), Length.ofMm(f)), depths);
    }
}
