package homalon.core.route;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.core.route.Step.Found;
import homalon.core.route.Step.Mark;
import homalon.core.words.Message;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class StepFoundTest {
    @ParameterizedTest
    @EnumSource(Mark.class)
    void onlyWhatIsDoneIsGoodByItself(Mark mark) {
        Step step = new Step(StepKind.FACE, mark, Message.NONE, Message.NONE, Message.NONE);
        assertEquals(mark == Mark.DONE ? Found.GOOD : Found.NOT_JUDGED, step.found());
        assertEquals(Found.OUT, step.found(Found.OUT).found());
        assertEquals(mark, step.found(Found.OUT).mark());
    }
}
