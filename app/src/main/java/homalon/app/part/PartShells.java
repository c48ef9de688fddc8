package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import org.springframework.stereotype.Component;

/** Makes the frame of a part's page. */
@Component
public class PartShells {
    private final Steps steps;

    PartShells(Steps steps) {
        this.steps = steps;
    }

    public PartHead head(PartFile part, StepKind here, LengthWriter writer) {
        return PartHead.of(part, steps.of(part, writer), here);
    }
}
