package homalon.app.route;

import static org.junit.jupiter.api.Assertions.assertEquals;

import homalon.app.part.PartFile;
import homalon.app.part.PartHead;
import homalon.app.part.Parts;
import homalon.app.part.Step;
import homalon.app.part.StepSource;
import homalon.app.testing.RunningShop;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where each part of the sample shop stands, as a machinist would say it. */
@ExtendWith(RunningShop.class)
class StepsTest {
    private final RunningShop.Shop shop;

    StepsTest(RunningShop.Shop shop) {
        this.shop = shop;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "T-0407; DONE DONE DONE DONE DONE DONE DONE DUE; Hand over",
                "T-0409; DONE DONE DONE DONE DONE BEGUN WAITS WAITS; Cut on: pass 3 of 4",
                "T-0415; DONE DONE DONE DONE DUE WAITS WAITS WAITS; Plan the cut",
                "T-0406; DONE DONE DONE DONE DUE WAITS WAITS WAITS; Plan the cut",
                "T-0419; DONE DUE WAITS DUE DUE WAITS WAITS WAITS WAITS; Clean it",
                "T-0440; DONE DONE DONE DONE DUE DONE DONE DONE DONE WAITS; Pressure test",
                "T-0441; DONE DONE WAITS DUE WAITS WAITS DONE DONE DONE WAITS; Straighten",
                "T-0388; DONE DONE DONE DONE DONE DONE DONE DONE; ''"
            })
    void theNextStepIsTheFirstThatIsNotDone(String tag, String marks, String todo) {
        PartFile part = shop.bean(Parts.class).byTag(tag);
        List<Step> steps = shop.bean(StepSource.class)
                .steps(List.of(part), new LengthWriter(BenchUnit.MM))
                .get(part.visit().id())
                .strip();
        assertEquals(marks, steps.stream().map(s -> s.mark().name()).collect(Collectors.joining(" ")));
        assertEquals(todo, PartHead.next(steps).todo());
    }
}
