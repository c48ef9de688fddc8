package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import java.util.List;
import org.springframework.stereotype.Component;

/** Makes the frame of a part's page. */
@Component
public class PartShells {
    private final StepSource steps;

    PartShells(StepSource steps) {
        this.steps = steps;
    }

    public StepSource.Standing standing(PartFile part, LengthWriter writer) {
        return steps.steps(List.of(part), writer).get(part.visit().id());
    }

    public PartHead head(PartFile part, StepKind here, LengthWriter writer) {
        return PartHead.of(part, standing(part, writer), here);
    }
}
