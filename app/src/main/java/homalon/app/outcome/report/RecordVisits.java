package homalon.app.outcome.report;

import homalon.app.casting.part.Changes;
import homalon.core.visit.CameWith;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.PlanFile;
import homalon.core.visit.SurveyFile;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The visits of a casting, for the record. Names of the fields are the names in the file. */
@Component
@RequiredArgsConstructor
class RecordVisits {
    private final RecordFace face;
    private final RecordFeelers feelers;
    private final RecordCut cut;
    private final RecordWhole whole;
    private final Changes changes;

    record Visit(
            int no,
            String openedAt,
            String openedBy,
            String history,
            List<String> happened,
            List<String> shafts,
            String wishes,
            String gasket,
            String gasketKind,
            String due,
            String releasedAt,
            String releasedBy,
            String releasedNote,
            List<RecordFace.Survey> surveys,
            List<RecordFeelers.Feelers> feelers,
            List<RecordCut.Plan> plans,
            List<RecordCut.LeftUncut> leftUncut,
            List<Change> changes,
            RecordWhole.Whole beside) {}

    record Change(String what, String detail, String by, String at) {}

    /** Each with all that was measured and done on it, in their order. */
    List<Visit> of(List<PartFile> visits, Map<UUID, String> names) {
        List<UUID> ids = visits.stream().map(v -> v.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read = face.ofVisits(ids);
        Map<UUID, List<FeelerFile>> felt = feelers.ofVisits(ids);
        Map<UUID, List<PlanFile>> planned = cut.ofVisits(ids);
        return visits.stream()
                .map(v -> visit(
                        v,
                        read.getOrDefault(v.visit().id(), List.of()),
                        felt.getOrDefault(v.visit().id(), List.of()),
                        planned.getOrDefault(v.visit().id(), List.of()),
                        names))
                .toList();
    }

    private Visit visit(
            PartFile v, List<SurveyFile> read, List<FeelerFile> felt, List<PlanFile> planned, Map<UUID, String> names) {
        PartFile.Visit visit = v.visit();
        return new Visit(
                visit.no(),
                visit.openedAt().toString(),
                names.get(visit.openedBy()),
                visit.history(),
                visit.came()
                        .map(c -> c.happened().stream().sorted().map(Enum::name).toList())
                        .orElse(null),
                visit.came().map(CameWith::shafts).orElse(null),
                visit.wishes(),
                visit.gasket(),
                visit.gasketKind().map(Enum::name).orElse(null),
                visit.due().map(Object::toString).orElse(null),
                visit.releasedAt().map(Object::toString).orElse(null),
                visit.releasedBy().map(names::get).orElse(null),
                visit.releasedNote().isEmpty() ? null : visit.releasedNote(),
                read.stream().map(s -> face.of(v, s, names)).toList(),
                felt.stream().map(s -> feelers.of(v, s, names)).toList(),
                planned.stream().map(p -> RecordCut.of(p, names)).toList(),
                cut.left(v, names),
                changes.of(visit.id()).stream()
                        .map(c -> new Change(c.what().name(), c.detail(), names.get(c.by()), c.at().toString()))
                        .toList(),
                whole.of(v, names));
    }
}
