package homalon.core.route;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Lines of the shop's own: they hold the step up at which they are asked for, and no other. */
class LinesToTickTest {
    private static final String DEBRIS = "debris out of the chain chest";
    private static final String STUDS = "studs back in";

    @Test
    void aCastingIsNotCleanWhileALineOfItsCleaningIsOpen() {
        VisitOfTests visit = new VisitOfTests().listed(StepKind.CLEAN, DEBRIS).listed(StepKind.CLEAN, "plugs out");
        assertEquals("DUE due", visit.on(StepKind.CLEAN));
        visit.did(Operation.CLEAN);
        assertEquals("BEGUN 2 lines to tick", visit.on(StepKind.CLEAN));
        assertEquals(DEBRIS, English.of(visit.step(StepKind.CLEAN).orElseThrow().detail()));
        visit.ticked(StepKind.CLEAN, "Plugs Out");
        assertEquals("BEGUN 1 line to tick", visit.on(StepKind.CLEAN));
        visit.ticked(StepKind.CLEAN, DEBRIS);
        assertEquals("DONE clean", visit.on(StepKind.CLEAN));
    }

    /** What may be measured does not wait for it: a face is read while somebody fishes for debris. */
    @Test
    void theNextStepIsNotHeldUp() {
        VisitOfTests without = new VisitOfTests().did(Operation.CLEAN);
        VisitOfTests with = new VisitOfTests().listed(StepKind.CLEAN, DEBRIS).did(Operation.CLEAN);
        assertEquals(without.on(StepKind.CRACKS), with.on(StepKind.CRACKS));
        assertEquals("DUE due", with.on(StepKind.CRACKS));
    }

    @Test
    void whatIsTickedBeforeItLeavesIsNamedUntilItIs() {
        VisitOfTests visit = new VisitOfTests().ready().read(Verdict.WITHIN).listed(StepKind.HAND_OVER, STUDS);
        assertEquals(List.of(STUDS), visit.standing().toTick());
        visit.ticked(StepKind.CLEAN, STUDS);
        assertEquals(List.of(STUDS), visit.standing().toTick(), "ticked at another step");
        visit.ticked(StepKind.HAND_OVER, STUDS);
        assertTrue(visit.standing().toTick().isEmpty());
    }

    @Test
    void theHandOverSaysThatLinesAreOpen() {
        VisitOfTests visit = new VisitOfTests().withoutShafts().ready().read(Verdict.WITHIN);
        for (Step s : visit.standing().strip()) {
            if (s.mark() != Step.Mark.DONE && s.kind() != StepKind.HAND_OVER) {
                visit.waived(s.kind().operation().orElseThrow());
            }
        }
        assertEquals("DUE due", visit.on(StepKind.HAND_OVER));
        visit.listed(StepKind.HAND_OVER, STUDS);
        assertEquals("DUE 1 line to tick", visit.on(StepKind.HAND_OVER));
        assertFalse(visit.done(StepKind.HAND_OVER));
        visit.ticked(StepKind.HAND_OVER, STUDS);
        assertEquals("DUE due", visit.on(StepKind.HAND_OVER));
    }
}
