package homalon.app.outcome.route;

import homalon.app.casting.part.DoneBy;
import homalon.app.casting.work.WorkEntry;
import homalon.app.check.face.Surveys;
import homalon.core.route.Operation;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.Figure;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Instant;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Reads out of the lines of a visit who was the last at each operation. */
@Component
@RequiredArgsConstructor
class WhoDidWhat implements DoneBy {
    private final Surveys surveys;
    private final VisitRecords written;

    @Override
    public Map<Operation, Hand> hands(PartFile part) {
        UUID visit = part.visit().id();
        VisitRecords.Lines lines = written.of(List.of(part)).get(visit);
        Last last = new Last();
        for (WorkEntry e : lines.work()) {
            if (e.kind() == WorkEntry.Kind.DID || e.kind() == WorkEntry.Kind.WAIVED) {
                last.of(Operation.valueOf(e.what()), e.by(), e.at());
            }
        }
        surveys.ofVisits(List.of(visit)).forEach(last::read);
        lines.checked().felt().forEach(last::felt);
        lines.checked()
                .tests()
                .forEach(t -> t.readings().forEach(r -> last.of(Operation.PRESSURE_TEST, r.by(), r.at())));
        lines.checked()
                .sheets()
                .forEach((sheet, file) -> sheet.step()
                        .operation()
                        .ifPresent(o -> file.kept().stream()
                                .filter(f -> f.kind() == Figure.Kind.KEYED)
                                .forEach(f -> last.of(o, f.by(), f.at()))));
        lines.plan().ifPresent(p -> last.of(Operation.CUT_PLAN, p.by(), p.at()));
        for (LedgerFile.Line pass : lines.ledger().passes(visit)) {
            last.of(Operation.CUT, pass.by(), pass.at());
        }
        part.visit()
                .releasedBy()
                .ifPresent(by -> last.of(
                        Operation.HAND_OVER, by, part.visit().releasedAt().orElseThrow()));
        return last.hands;
    }

    private static final class Last {
        private final Map<Operation, Hand> hands = new EnumMap<>(Operation.class);

        void of(Operation operation, UUID by, Instant at) {
            hands.merge(operation, new Hand(by, at), (a, b) -> a.at().isAfter(b.at()) ? a : b);
        }

        void read(SurveyFile survey) {
            // The thickness of a deck is read for the plan; nobody owes it.
            if (survey.kind() == SurveyKind.FACE || survey.kind() == SurveyKind.PROOF) {
                Operation of = survey.kind() == SurveyKind.FACE ? Operation.FACE_CHECK : Operation.PROOF;
                survey.history().stream().filter(SurveyFile.ReadingFile::stands).forEach(r -> of(of, r.by(), r.at()));
            }
        }

        void felt(FeelerFile felt) {
            Operation of = felt.kind() == FeelerKind.FACE ? Operation.FACE_CHECK : Operation.PROOF;
            felt.history().stream().filter(FeelerFile.TryFile::stands).forEach(t -> of(of, t.by(), t.at()));
        }
    }
}
