package homalon.app.check.scan;

import homalon.app.casting.part.Faces;
import homalon.app.check.face.FaceModels;
import homalon.app.foundation.words.Words;
import homalon.core.face.ScanFace;
import homalon.core.geometry.Points;
import homalon.core.quantity.Length;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FaceModel;
import homalon.core.visit.FaceRule;
import homalon.core.visit.PartFile;
import homalon.core.visit.ScanFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Judges a scan by the same model as a face that is read place by place. */
@Component
@RequiredArgsConstructor
class ScanJudge {
    private final Faces faces;
    private final FaceModels models;

    /** What is kept of a judged scan: nothing that grows with its points. */
    record Judged(FaceFinding finding, List<String> notes) {}

    /** What its verdict depends on beside its points. */
    record By(FaceRule rule, FaceModel.Habit habit) {}

    By by(PartFile part, SurveyKind kind) {
        return new By(FaceRule.ofScan(part), models.of(part, kind).habit());
    }

    /** One that comes in. */
    Judged first(PartFile part, SurveyKind kind, Points points, Length uncertainty) {
        return judge(part, models.coming(part, kind), points, uncertainty);
    }

    /** It is kept: its face is begun to be read. */
    void begin(PartFile part, SurveyKind kind, UUID by) {
        models.begin(part, kind, by);
    }

    /** One that was kept. */
    Judged again(PartFile part, ScanFile scan, Points points) {
        return judge(part, models.of(part, scan.kind()), points, scan.uncertainty());
    }

    private Judged judge(PartFile part, FaceModel model, Points points, Length uncertainty) {
        FaceRule rule = FaceRule.ofScan(part);
        ScanFace face = ScanFace.of(
                points,
                new ScanFace.Settings(
                        faces.land(part.numbers()),
                        part.limits(),
                        rule.cover().orElse(Double.POSITIVE_INFINITY),
                        uncertainty.mm(),
                        rule.risk().isEmpty()));
        FaceFinding finding = FaceFinding.ofScan(face, part.limits(), rule, model, uncertainty);
        return new Judged(finding, Words.of(face.notes()));
    }
}
