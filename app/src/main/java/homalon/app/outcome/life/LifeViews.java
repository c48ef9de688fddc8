package homalon.app.outcome.life;

import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.check.face.Surveys;
import homalon.app.foundation.people.People;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Puts what was written on each visit into words, the first visit first. */
@Component
@RequiredArgsConstructor
class LifeViews {
    private final Parts parts;
    private final Surveys surveys;
    private final WorkLog work;
    private final People people;
    private final StayViews stays;
    private final MetalViews metal;
    private final ChangeViews changes;

    LifeView of(PartFile part, String then, String now, LengthWriter writer) {
        List<PartFile> visits = parts.everyVisit(part);
        List<UUID> ids = visits.stream().map(v -> v.visit().id()).toList();
        Map<UUID, List<SurveyFile>> read =
                surveys.ofVisits(ids).stream().collect(Collectors.groupingBy(SurveyFile::visit));
        Map<UUID, List<WorkEntry>> worked = work.ofVisits(ids);
        Map<UUID, List<String>> fitted = stays.fitted(ids);
        Map<UUID, String> names = people.names();
        List<LifeView.Stay> all = new ArrayList<>();
        List<ReadFace> faces = new ArrayList<>();
        for (PartFile visit : visits) {
            List<ReadFace> own =
                    stays.read(visit, read.getOrDefault(visit.visit().id(), List.of()));
            faces.addAll(own);
            UUID id = visit.visit().id();
            all.add(stays.of(
                    visit, own, worked.getOrDefault(id, List.of()), fitted.getOrDefault(id, List.of()), names, writer));
        }
        return new LifeView(
                all,
                metal.of(part, ids, writer),
                faces.stream().map(ReadFace::choice).toList(),
                changes.of(faces, then, now, writer.unit()));
    }
}
