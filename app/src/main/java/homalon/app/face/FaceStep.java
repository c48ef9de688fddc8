package homalon.app.face;

import homalon.app.part.LayoutGuard;
import homalon.app.part.PartFile;
import homalon.app.part.Step;
import homalon.app.part.StepKind;
import homalon.app.part.StepSource;
import homalon.core.face.LimitVerdict;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Verdict;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.stereotype.Component;

/** Where the face check stands, and the proof after the cut. */
@Configuration
class FaceStep {

    @Bean
    StepSource faceStepSource(Surveys surveys, Findings findings) {
        return new Source(SurveyKind.FACE, surveys, findings);
    }

    @Bean
    StepSource proofStepSource(Surveys surveys, Findings findings) {
        return new Source(SurveyKind.PROOF, surveys, findings);
    }

    @Component
    static final class Guard implements LayoutGuard {
        private final Surveys surveys;

        Guard(Surveys surveys) {
            this.surveys = surveys;
        }

        @Override
        public boolean layoutMayChange(PartFile part) {
            return !surveys.hasReadings(part);
        }
    }

    /** The same logic for both: how many places are keyed, then the verdict. */
    private record Source(SurveyKind survey, Surveys surveys, Findings findings) implements StepSource {
        @Override
        public StepKind kind() {
            return survey.step();
        }

        @Override
        public Map<UUID, Step> steps(List<PartFile> parts, LengthWriter writer) {
            List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
            Map<UUID, SurveyFile> begun = surveys.ofVisits(visits).stream()
                    .filter(s -> s.kind() == survey)
                    .collect(Collectors.toMap(SurveyFile::visit, Function.identity()));
            Map<UUID, Step> steps = new HashMap<>();
            for (PartFile part : parts) {
                UUID visit = part.visit().id();
                steps.put(visit, step(part, Optional.ofNullable(begun.get(visit)), writer));
            }
            return steps;
        }

        private Step step(PartFile part, Optional<SurveyFile> begun, LengthWriter writer) {
            boolean before = survey == SurveyKind.FACE;
            if (begun.isEmpty()) {
                return new Step(
                        kind(),
                        before ? Step.Mark.DUE : Step.Mark.WAITS,
                        before ? "due" : "after the cut",
                        before ? "Check the face" : "Read the face again",
                        before ? "nothing is measured yet" : "the cut is not proven until it is measured");
            }
            SurveyFile s = begun.get();
            int left = s.places().size() - s.handled();
            if (!s.complete()) {
                return new Step(
                        kind(),
                        Step.Mark.BEGUN,
                        s.handled() + " of " + s.places().size() + " keyed",
                        before ? "Finish the face" : "Finish the proof",
                        left + (left == 1 ? " place" : " places") + " to key");
            }
            Optional<Findings.Finding> finding = findings.of(part, s);
            String note = finding.map(f -> shortVerdict(f, writer)).orElse("too few places");
            boolean done = finding.isPresent();
            return new Step(kind(), done ? Step.Mark.DONE : Step.Mark.BEGUN, note, "Finish the face", note);
        }

        private static String shortVerdict(Findings.Finding finding, LengthWriter writer) {
            Verdict worst = finding.judgement().worst();
            if (worst == Verdict.WITHIN) {
                return "within";
            }
            if (worst == Verdict.NOT_PROVEN) {
                return "not proven";
            }
            double over = finding.judgement().limits().stream()
                    .filter(l -> l.verdict() == Verdict.OUT)
                    .map(LimitVerdict::over)
                    .mapToDouble(o -> o.orElse(0))
                    .max()
                    .orElse(0);
            return "out by " + writer.number(over);
        }
    }
}
