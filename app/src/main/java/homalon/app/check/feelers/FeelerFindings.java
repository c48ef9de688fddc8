package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.face.FeelerResult;
import homalon.core.face.Feelers;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.PartFile;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What feelers prove of a face, worked out by the core once for each state of it. */
@Component
@RequiredArgsConstructor
public class FeelerFindings {
    private record Version(long revision, LayoutNumbers numbers, Length limit) {}

    private record Said(UUID survey) implements Question<FeelerResult> {}

    private final Faces faces;
    private final Memory memory;

    public FeelerResult of(PartFile part, FeelerFile survey) {
        Length limit = RuleBook.overall(part.limits());
        return memory.at(
                new Said(survey.id()),
                new Version(survey.revision(), part.numbers(), limit),
                () -> Feelers.look(survey.survey(faces.layout(part.numbers()).box(), limit)));
    }
}
