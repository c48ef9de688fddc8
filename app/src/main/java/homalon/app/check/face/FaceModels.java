package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.ReadTransaction;
import homalon.core.part.Ground;
import homalon.core.part.LayoutNumbers;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.FaceGrid;
import homalon.core.visit.FaceModel;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What a face is asked and what such faces are like; kept with the visit when its face is begun to be read. */
@Component
@Transactional(readOnly = true)
@RequiredArgsConstructor
public class FaceModels {
    private final Faces faces;
    private final LikeFaces like;
    private final EvidenceLog log;
    private final ReadTransaction reading;
    private final Memory memory;

    private record GridOf(LayoutNumbers numbers, List<FlatnessLimit> limits) implements Question<FaceGrid> {
        @Override
        public int kilobytes() {
            return 512;
        }
    }

    private record Kept(UUID visit) {}

    /** What the face of this visit is judged by, whether it is read by indicator or by feelers. */
    public FaceModel of(PartFile part, SurveyKind kind) {
        return kept(part, kind)
                .map(h -> FaceModel.general(grid(part)).by(h))
                .orElseGet(() -> FaceModel.bentAlike(grid(part)));
    }

    /** What it will be judged by if it is begun now. */
    FaceModel coming(PartFile part, SurveyKind kind) {
        FaceModel general = FaceModel.general(grid(part));
        return kept(part, kind).map(general::by).orElseGet(() -> general.learnt(like.of(part, kind)));
    }

    /** Its face is begun to be read: from now on it is judged by what is known of such faces now. */
    @Transactional
    public void begin(PartFile part, SurveyKind kind, UUID by) {
        if (kept(part, kind).isEmpty()) {
            log.add(new FaceModelRow(
                    part.visit().id(),
                    kind == SurveyKind.PROOF,
                    coming(part, kind).habit(),
                    by));
        }
    }

    private Optional<FaceModel.Habit> kept(PartFile part, SurveyKind kind) {
        UUID visit = part.visit().id();
        return reading.once(new Kept(visit), () -> log.ofVisit(FaceModelRow.class, visit)).stream()
                .filter(r -> r.proof() == (kind == SurveyKind.PROOF))
                .map(FaceModelRow::habit)
                .findFirst();
    }

    /** The land of its face with what its limits ask about, kept for all castings of one layout. */
    private FaceGrid grid(PartFile part) {
        return memory.answer(
                new GridOf(part.numbers(), part.limits()),
                () -> FaceGrid.of(Ground.of(faces.layout(part.numbers())), part.limits()));
    }
}
