package homalon.app.casting.part;

import homalon.app.foundation.web.StandsAgainstException;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Makes the frame of a part's page. */
@Component
@RequiredArgsConstructor
public class PartShells {
    private final StepSource steps;

    public VisitSteps.Standing standing(PartFile part, LengthWriter writer) {
        return steps.steps(List.of(part), writer).get(part.visit().id());
    }

    /**
     * What the route says must come first, comes first.
     *
     * @throws StandsAgainstException naming what is in the way, why, and who may lift it
     */
    public void require(PartFile part, Operation operation) {
        standing(part, new LengthWriter(BenchUnit.MM))
                .route()
                .standsAgainst(operation)
                .ifPresent(against -> {
                    throw new StandsAgainstException(Words.of(against.sentence()), "/parts/" + part.tag() + "/route");
                });
    }

    public PartHead head(PartFile part, StepKind here, LengthWriter writer) {
        return PartHead.of(part, standing(part, writer), Optional.of(here));
    }

    /** For a page beside the steps. */
    public PartHead head(PartFile part, LengthWriter writer) {
        return PartHead.of(part, standing(part, writer), Optional.empty());
    }
}
