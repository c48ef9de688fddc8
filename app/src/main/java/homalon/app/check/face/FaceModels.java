package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.store.EvidenceLog;
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
    private final Memory memory;

    private record GridOf(LayoutNumbers numbers, List<FlatnessLimit> limits) implements Question<FaceGrid> {
        @Override
        public int kilobytes() {
            return 2048;
        }
    }

    /** It is kept once and for all; a visit without it was begun before it was asked, and gets it where its face is begun anew. */
    private record Kept(UUID visit, boolean proof) implements Question<Optional<FaceModel.Habit>> {
        static final int VERSION = 1;

        static Kept of(PartFile part, SurveyKind kind) {
            return new Kept(part.visit().id(), kind == SurveyKind.PROOF);
        }
    }

    /** What the face of this visit is judged by, whether it is read by indicator or by feelers. */
    public FaceModel of(PartFile part, SurveyKind kind) {
        return memory.at(Kept.of(part, kind), Kept.VERSION, () -> kept(part, kind))
                .map(h -> FaceModel.general(grid(part)).by(h))
                .orElseGet(() -> FaceModel.bentAlike(grid(part)));
    }

    /** What it will be judged by if it is begun now. */
    public FaceModel coming(PartFile part, SurveyKind kind) {
        FaceModel general = FaceModel.general(grid(part));
        return kept(part, kind).map(general::by).orElseGet(() -> general.learnt(like.of(part, kind)));
    }

    /** Its face is begun to be read: from now on it is judged by what is known of such faces now. */
    @Transactional
    public void begin(PartFile part, SurveyKind kind, UUID by) {
        if (kept(part, kind).isEmpty()) {
            FaceModel.Habit habit = coming(part, kind).habit();
            log.add(new FaceModelRow(part.visit().id(), kind == SurveyKind.PROOF, habit, by));
            memory.becomes(Kept.of(part, kind), Kept.VERSION, Optional.of(habit));
        }
    }

    private Optional<FaceModel.Habit> kept(PartFile part, SurveyKind kind) {
        return log.ofVisit(FaceModelRow.class, part.visit().id()).stream()
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
