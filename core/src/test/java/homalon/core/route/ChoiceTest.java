package homalon.core.route;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import homalon.core.route.Step.Mark;
import homalon.core.verdict.Verdict;
import homalon.core.words.English;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.EnumSource.Mode;

/** The customer is asked, and what he says decides what may be done. */
class ChoiceTest {
    private static final Event ASKED = new Event.Found(Finding.CHOICE_ASKED);
    private static final Event CHOSEN = new Event.Did(Operation.CHOICE);
    private static final Event STOP = new Event.Stopped("Brannoc", Message.plain("stop, pay for the look"));

    private static Route route(Event... events) {
        return Route.of(List.of(events));
    }

    /** Work costs; looking tells what it costs. */
    @ParameterizedTest
    @EnumSource(
            value = Operation.class,
            names = {"CLEAN", "CUT_PLAN", "CHOICE", "OIL_AND_BAG", "HAND_OVER"},
            mode = Mode.EXCLUDE)
    void workWaitsForTheChoiceAndChecksDoNot(Operation operation) {
        Route asked = route(new Event.Did(Operation.CLEAN), new Event.Did(Operation.CRACK_CHECK), ASKED);
        Optional<Route.Against> against = asked.standsAgainst(operation);
        assertEquals(
                !operation.isCheck(),
                against.filter(a -> a.first() == Operation.CHOICE).isPresent());
        against.filter(a -> a.first() == Operation.CHOICE)
                .ifPresent(
                        a -> assertTrue(English.of(a.sentence()).contains("under Estimate"), English.of(a.sentence())));
        Route chosen = route(new Event.Did(Operation.CLEAN), new Event.Did(Operation.CRACK_CHECK), ASKED, CHOSEN);
        assertFalse(chosen.standsAgainst(operation)
                .filter(a -> a.first() == Operation.CHOICE)
                .isPresent());
    }

    @Test
    void heIsAskedAgainWhereItComesToMore() {
        Route passed = route(ASKED, CHOSEN, new Event.Found(Finding.SUM_PASSED));
        assertTrue(passed.open(Operation.CHOICE).isPresent());
        assertTrue(passed.wasDone(Operation.CHOICE));
        assertEquals(
                Operation.CHOICE,
                passed.standsAgainst(Operation.WELD).orElseThrow().first());
    }

    /** What was found before the stop and what was found after it: none of it is done, and nothing of it holds the casting here. */
    @Test
    void whatIsStoppedOwesNothing() {
        Route route = route(
                new Event.Did(Operation.CLEAN),
                new Event.Found(Finding.CRACK_TO_STITCH),
                ASKED,
                CHOSEN,
                STOP,
                new Event.Found(Finding.FACE_OUT));
        assertTrue(route.isStopped());
        assertEquals(
                List.of(Operation.OIL_AND_BAG, Operation.HAND_OVER),
                route.openSteps().stream().map(Route.Step::operation).toList());
        assertEquals(List.of(), route.owed());
        assertTrue(route.isWaived(Operation.STITCH));
        assertTrue(route.isWaived(Operation.CUT));
        assertTrue(route.isWaived(Operation.CRACK_CHECK));
        assertFalse(route.isWaived(Operation.CLEAN), "it was done");
        assertFalse(route.isWaived(Operation.CHOICE), "it was made");
        assertEquals(
                "Brannoc: stop, pay for the look",
                English.of(route.steps().stream()
                        .filter(s -> s.operation() == Operation.STITCH)
                        .findFirst()
                        .orElseThrow()
                        .because()
                        .get(0)));
        for (Operation operation : List.of(Operation.CUT, Operation.STITCH, Operation.LINE_BORE)) {
            assertEquals(
                    Operation.CHOICE,
                    route.standsAgainst(operation).orElseThrow().first());
        }
        for (Operation operation : List.of(Operation.FACE_CHECK, Operation.OIL_AND_BAG, Operation.CLEAN)) {
            assertTrue(route.standsAgainst(operation).isEmpty(), operation + " is nobody's money");
        }
    }

    @Test
    void theStripTellsWhatWasChosen() {
        VisitOfTests v = new VisitOfTests().ready().read(Verdict.OUT).asked(Finding.CHOICE_ASKED);
        assertEquals(Mark.DUE, step(v).mark());
        v.chose(true);
        assertEquals(Mark.DONE, step(v).mark());
        assertEquals("go on", English.of(step(v).note()));
        v.chose(false);
        assertEquals("stop", English.of(step(v).note()));
        assertTrue(v.standing().route().isStopped());
        v.chose(true);
        assertFalse(v.standing().route().isStopped(), "he thought it over: what was open is open again");
        assertTrue(v.standing().route().open(Operation.CUT).isPresent());
    }

    /** Nothing that was never done looks done because the customer stopped it. */
    @Test
    void whatWasStoppedIsNoGoodVerdict() {
        VisitOfTests v = new VisitOfTests();
        v.did(Operation.CLEAN);
        v.asked(Finding.CHOICE_ASKED);
        v.chose(false);
        List<Step> strip = v.standing().strip();
        for (Step step : strip) {
            boolean looked =
                    List.of(StepKind.BOOKED, StepKind.CLEAN, StepKind.CHOICE).contains(step.kind());
            assertTrue(
                    looked || step.found() == Step.Found.NOT_JUDGED || step.mark() != Mark.DONE,
                    step.kind() + " " + step.found());
        }
        assertEquals(Mark.DUE, strip.get(strip.size() - 1).mark(), "it may leave as it is");
    }

    private static Step step(VisitOfTests v) {
        return v.standing().strip().stream()
                .filter(s -> s.kind() == StepKind.CHOICE)
                .findFirst()
                .orElseThrow(() -> new AssertionError(v.standing().strip()));
    }

    @Test
    void aCastingOfWhichNobodyAsksHasNoSuchStep() {
        assertTrue(new VisitOfTests().ready().standing().strip().stream().noneMatch(s -> s.kind() == StepKind.CHOICE));
        List<Event> all = new ArrayList<>(Arrays.asList(CHOSEN));
        assertTrue(Route.of(all).open(Operation.CHOICE).isEmpty());
    }
}
