package homalon.app.check.face;

import homalon.app.shop.instruments.RestedVerdict;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What a face is, and what it would be had the indicator or the table been as far off as was found. */
@Component
@RequiredArgsConstructor
class FaceRested implements RestedVerdict {
    private final Surveys surveys;
    private final Findings findings;

    @Override
    public Optional<Change> of(PartFile part, String step, String code, double error) {
        Optional<SurveyFile> survey = surveys
                .ofVisits(java.util.List.of(part.visit().id()))
                .stream()
                .filter(s -> s.kind().ofHeights() && s.kind().path().equals(step))
                .findFirst();
        if (survey.isEmpty()) {
            return Optional.empty();
        }
        SurveyFile off = survey.get().with(survey.get().with().off(code, error));
        Optional<FaceFinding> said = findings.of(part, survey.get());
        return said.flatMap(s -> findings.asIf(part, off)
                .map(o -> new Change(s.judgement().worst(), o.judgement().worst())));
    }
}
