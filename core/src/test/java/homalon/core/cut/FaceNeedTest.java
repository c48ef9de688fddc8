package homalon.core.cut;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.cut.FaceNeed.Advice;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a face needs against what may come off it. */
class FaceNeedTest {
    @ParameterizedTest
    @CsvSource({
        "0.06, 0.05, 0.04, 0.06, FITS",
        "0.06, 0.05, 0.04, 0.0599, LEAST_REMOVAL",
        "0.06, 0.05, 0.04, 0.05, LEAST_REMOVAL",
        "0.06, 0.05, 0.04, 0.0499, STOP_AT_THE_BANDS",
        "0.06, 0.05, 0.04, 0.04, STOP_AT_THE_BANDS",
        "0.06, 0.05, 0.04, 0.0399, DO_NOT_CUT",
        "0.06, 0.05, 0.04, 0, DO_NOT_CUT",
        "0, 0, 0, 0, FITS"
    })
    void onlyWhenEvenTheZoneDoesNotFitItIsNotCut(double asSetUp, double least, double zone, double may, Advice advice) {
        assertEquals(advice, new FaceNeed(OptionalDouble.empty(), asSetUp, least, zone).advice(may));
    }

    @Test
    void thePlanSaysWhatComesOffAndTheFaceWhatItNeeds() {
        FaceNeed planned = new FaceNeed(OptionalDouble.of(0.1), 0.06, 0.05, 0.04);
        assertEquals(0.1, planned.toCome());
        assertEquals(Advice.FITS, planned.advice(0.07), "passes shrink to it");
        assertEquals(0.3, FaceNeed.of(0.3).toCome());
    }

    /** Half a thou may come off: skim and finish of 0.03 shrink to one light pass. */
    @ParameterizedTest
    @CsvSource({
        "0.008, 0.0127, 0.005, 0.01",
        "0.008, 0.0127, 0.0127, 0.0127",
        "0.008, 0.025, 0.005, 0.025",
        "0.008, 0.03, 0.005, 0.03",
        "0.02, 1, 0.005, 0.03",
        "0.1, 0.12, 0.005, 0.1",
        "0.1, 0.1, 0.005, 0.1"
    })
    void passesShrinkToWhatMayComeOff(double needed, double most, String step, double total) {
        PassPlan.Depths usual = new PassPlan.Depths(Length.ofMm("0.01"), Length.ofMm("0.05"), Length.ofMm("0.02"));
        PassPlan.Depths fitted = usual.fitted(needed, most, Length.ofMm(step));
        PassPlan plan = PassPlan.toClean(needed, fitted, Length.ofMm(step));
        assertEquals(total, plan.total().mm(), 1e-9);
        assertTrue(plan.total().mm() <= most + 1e-9 && plan.total().mm() >= needed - 1e-9);
        assertEquals(
                PassPlan.Kind.FINISH,
                plan.passes().get(plan.passes().size() - 1).kind());
    }

    @Test
    void whatDoesNotFitStaysAsItWasForTheBudgetToSay() {
        PassPlan.Depths usual = PassPlan.Depths.usual(BenchUnit.MM);
        Length step = Length.ofMm("0.005");
        assertEquals(usual, usual.fitted(0.05, 0.04, step));
        assertEquals(usual, usual.fitted(0.05, 0, step));
        assertEquals(usual, usual.fitted(0.05, -1, step));
        assertEquals(usual, usual.fitted(0.05, Double.POSITIVE_INFINITY, step));
        assertEquals(usual, usual.fitted(0.001, 0.004, step), "less than one step of the dial");
    }
}
