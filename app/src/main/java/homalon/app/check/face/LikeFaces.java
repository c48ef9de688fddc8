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
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
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
                .filter(s -> s.kind() == kind && sealing(s).size() >= FEWEST_READINGS)
                .limit(MOST_FACES)
                .toList();
        List<SurveyFile> unknown = read.stream()
                .filter(s -> memory.last(new Tells(s.id())).isEmpty())
                .toList();
        Map<UUID, PartFile> visits = parts
                .asVisited(unknown.stream().map(SurveyFile::visit).toList())
                .stream()
                .collect(Collectors.toMap(p -> p.visit().id(), Function.identity()));
        List<Learnt.Face> all = new ArrayList<>();
        for (SurveyFile survey : read) {
            Optional<Learnt.Face> known = memory.last(new Tells(survey.id()));
            PartFile visit = visits.get(survey.visit());
            if (known.isPresent() || visit != null) {
                all.add(known.orElseGet(
                        () -> memory.keep(new Tells(survey.id()), survey.revision(), tells(visit, survey))));
            }
        }
        return all;
    }

    private static List<SurveyFile.PlaceFile> sealing(SurveyFile survey) {
        return survey.corrected().stream().filter(SurveyFile.PlaceFile::sealing).toList();
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
