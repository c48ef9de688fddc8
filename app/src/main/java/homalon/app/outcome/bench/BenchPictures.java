package homalon.app.outcome.bench;

import homalon.app.check.face.FaceViews;
import homalon.app.check.face.Findings;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The face of a casting as the bench shows it, drawn anew only when something was read since. */
@Component
@RequiredArgsConstructor
class BenchPictures {
    private final Findings findings;
    private final FaceViews views;
    private final Memory memory;

    private record Picture(
            UUID survey, long revision, String tag, LayoutNumbers numbers, List<FlatnessLimit> limits, BenchUnit unit)
            implements Question<String> {}

    String of(PartFile part, Optional<SurveyFile> survey, BenchUnit unit) {
        Picture key = new Picture(
                survey.map(SurveyFile::id).orElse(part.id()),
                survey.map(SurveyFile::revision).orElse(0L),
                part.tag(),
                part.numbers(),
                part.limits(),
                unit);
        String name = "m-" + part.tag().toLowerCase(Locale.ROOT);
        return memory.answer(
                key,
                () -> views.glance(part, survey.flatMap(s -> findings.of(part, s)), name, "Face of " + part.tag(), unit)
                        .svg());
    }
}
