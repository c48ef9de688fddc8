package homalon.app.check.face;

import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Spot;
import homalon.core.input.InPath;
import homalon.core.rulebook.RuleBook;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Readings of a face with an indicator, and of its thickness. */
@Component
@RequiredArgsConstructor
class FaceReadings implements TakesReadings {
    private final Surveys surveys;
    private final SurveyStarts starts;
    private final People people;

    @Override
    public List<String> walks() {
        return Arrays.stream(SurveyKind.values()).map(SurveyKind::path).toList();
    }

    private static SurveyKind kind(String walk) {
        return InPath.find(SurveyKind.class, walk).orElseThrow();
    }

    @Override
    public List<ReadingPlace> places(PartFile part, String walk) {
        return surveys.find(part, kind(walk)).map(SurveyFile::places).orElse(List.of()).stream()
                .map(p -> new ReadingPlace(
                        p.id().toString(),
                        p.name(),
                        Optional.of(p.spot()),
                        p.reading().map(SurveyFile.ReadingFile::typed)))
                .toList();
    }

    @Override
    @Transactional
    public void begin(PartFile part, String walk, List<Spot> at, UUID by) {
        SurveyKind kind = kind(walk);
        if (at.isEmpty()) {
            starts.start(part, kind, PlaceProposal.Density.USUAL, RuleBook.DEFAULT_UNCERTAINTY, by);
        } else {
            starts.startAt(part, kind, at, RuleBook.DEFAULT_UNCERTAINTY, by);
        }
    }

    @Override
    @Transactional
    public void key(PartFile part, String walk, Keyed keyed, UUID by) {
        Surveys.Outcome outcome = surveys.key(part, kind(walk), keyed, people::nameOf, by);
        if (outcome instanceof Surveys.Outcome.Asks asks) {
            throw new AskAgainException(asks.sentence(), asks.seen());
        }
    }

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        return surveys.ofVisits(visits.stream().map(v -> v.visit().id()).toList()).stream()
                .flatMap(FaceReadings::lines)
                .toList();
    }

    private static Stream<KeyedLine> lines(SurveyFile survey) {
        Map<UUID, SurveyFile.PlaceFile> places = Stream.concat(survey.places().stream(), survey.dropped().stream())
                .collect(Collectors.toMap(SurveyFile.PlaceFile::id, Function.identity()));
        return survey.history().stream().map(r -> {
            SurveyFile.PlaceFile place = places.get(r.place());
            return new KeyedLine(
                    survey.visit(),
                    survey.kind().path(),
                    r.seq(),
                    place.name(),
                    Optional.of(place.spot()),
                    Optional.of(place.sealing()),
                    r.kind().name(),
                    r.typed(),
                    r.unit().label(),
                    r.value(),
                    r.stands(),
                    r.by(),
                    r.at());
        });
    }
}
