package homalon.app.check.face;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.core.part.Ground;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.Sureness;
import homalon.core.surface.Learnt;
import homalon.core.surface.Noise;
import homalon.core.surface.SurfacePrior;
import homalon.core.visit.FaceRule;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What faces of castings like one, read and handed over before, have to say of it: the same metal, kind and number of cylinders. */
@Component
@RequiredArgsConstructor
class LikeFaces {
    private static final int MOST_VISITS = 80;
    private static final int MOST_FACES = 40;
    /** Fewer readings tell next to nothing. */
    private static final int FEWEST_READINGS = 6;

    private final Parts parts;
    private final Surveys surveys;
    private final Faces faces;
    private final Memory memory;

    /** What the readings of each survey have to say; nothing changes of one that was handed over. */
    private record Tells(UUID survey) implements Question<Learnt.Face> {}

    /** @param kind of the surveys: a face as it came, or as it was cut */
    List<Learnt.Face> of(PartFile part, SurveyKind kind) {
        List<SurveyFile> read = surveys.ofVisits(parts.handedOverLike(part, MOST_VISITS)).stream()
                .filter(s -> s.kind() == kind && tells(sealing(s)))
                .limit(MOST_FACES)
                .toList();
        Visits visits = new Visits(read);
        return read.stream()
                .map(s -> memory.answer(new Tells(s.id()), () -> tells(visits.of(s), s)))
                .toList();
    }

    /** Castings as they were on the visits of these surveys, loaded where the first is asked for. */
    private final class Visits {
        private final List<SurveyFile> surveys;
        private final Map<UUID, PartFile> loaded = new HashMap<>();

        Visits(List<SurveyFile> surveys) {
            this.surveys = surveys;
        }

        PartFile of(SurveyFile survey) {
            if (loaded.isEmpty()) {
                parts.asVisited(surveys.stream().map(SurveyFile::visit).toList())
                        .forEach(p -> loaded.put(p.visit().id(), p));
            }
            return Objects.requireNonNull(loaded.get(survey.visit()), "a visit that was handed over");
        }
    }

    private static List<SurveyFile.PlaceFile> sealing(SurveyFile survey) {
        return survey.corrected().stream().filter(SurveyFile.PlaceFile::sealing).toList();
    }

    /** Places on one line have no plane to be bent from. */
    private static boolean tells(List<SurveyFile.PlaceFile> read) {
        return read.size() >= FEWEST_READINGS && !SurveyFile.points(read).onOneLine();
    }

    private Learnt.Face tells(PartFile part, SurveyFile survey) {
        Ground ground = Ground.of(faces.layout(part.numbers()));
        double tightest = part.limits().stream()
                .map(FlatnessLimit::most)
                .mapToDouble(m -> m.mm())
                .min()
                .orElseThrow();
        return Learnt.of(
                SurfacePrior.usual(tightest),
                ground,
                Sureness.level(SurveyFile.points(sealing(survey))),
                new Noise(
                        Sureness.noise(survey.uncertainty().mm()),
                        survey.with().corrections().curvature()),
                FaceRule.of(part).spots(ground));
    }
}
