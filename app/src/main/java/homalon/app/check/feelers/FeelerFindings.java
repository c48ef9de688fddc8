package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.check.face.Findings;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.face.FeelerEvidence;
import homalon.core.part.LayoutNumbers;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.ShopRules;
import homalon.core.visit.FaceModel;
import homalon.core.visit.FaceRule;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFinding;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What feelers prove of a face, worked out by the core once for each state of it. */
@Component
@RequiredArgsConstructor
public class FeelerFindings {
    private record Version(
            long revision,
            LayoutNumbers numbers,
            List<FlatnessLimit> limits,
            FaceRule rule,
            ShopRules.Before before,
            FeelerEvidence.Tools tools,
            FaceModel.Habit habit) {}

    /** What the blades of each survey were last found to say. */
    private record Said(UUID survey) implements Question<FeelerFinding> {}

    /** The same with what lies between the edges. */
    private record Known(UUID survey) implements Question<FeelerFinding> {}

    private final Faces faces;
    private final Findings findings;
    private final Memory memory;

    /** What it says, the chance that it is out between the edges included. */
    public FeelerFinding of(PartFile part, FeelerFile survey) {
        FeelerFinding said = byBlades(part, survey);
        return said.awaited()
                ? memory.at(
                        new Known(survey.id()),
                        version(part, survey),
                        () -> said.knowing(part, survey, model(part, survey)))
                : said;
    }

    /** What the blades say by themselves, at once. */
    FeelerFinding byBlades(PartFile part, FeelerFile survey) {
        return memory.at(
                new Said(survey.id()),
                version(part, survey),
                () -> FeelerFinding.byBlades(
                        part, survey, faces.layout(part.numbers()).box()));
    }

    private FaceModel model(PartFile part, FeelerFile survey) {
        return findings.model(part, survey.kind().survey());
    }

    private Version version(PartFile part, FeelerFile survey) {
        return new Version(
                survey.revision(),
                part.numbers(),
                part.limits(),
                FaceRule.of(part),
                part.rules().before(),
                survey.tools(part.rules()),
                model(part, survey).habit());
    }
}
