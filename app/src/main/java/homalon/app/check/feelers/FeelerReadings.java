package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.AskAgainException;
import homalon.app.foundation.web.Keyed;
import homalon.core.input.InPath;
import homalon.core.part.Layout;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerFile.TryFile;
import homalon.core.visit.FeelerKind;
import homalon.core.visit.FeelerReading;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What blades said under a straightedge. */
@Component
@RequiredArgsConstructor
class FeelerReadings implements TakesReadings {
    private final FeelerSurveys surveys;
    private final Faces faces;
    private final People people;

    @Override
    public List<String> walks() {
        return Arrays.stream(FeelerKind.values()).map(FeelerKind::path).toList();
    }

    private static FeelerKind kind(String walk) {
        return InPath.find(FeelerKind.class, walk).orElseThrow();
    }

    @Override
    public List<ReadingPlace> places(PartFile part, String walk) {
        List<ReadingPlace> places = new ArrayList<>();
        surveys.find(part, kind(walk)).ifPresent(survey -> {
            Layout layout = faces.layout(part.numbers());
            Map<UUID, String> last = new HashMap<>();
            survey.history().stream().filter(TryFile::stands).forEach(t -> last.put(t.place(), t.typed()));
            for (LineFile line : survey.lines()) {
                line.asked()
                        .forEach(p -> places.add(new ReadingPlace(
                                p.id().toString(),
                                words(layout, line, p),
                                Optional.of(line.spot(p)),
                                Optional.ofNullable(last.get(p.id())))));
            }
        });
        return places;
    }

    private static String words(Layout layout, LineFile line, PlaceFile place) {
        return line.name()
                + switch (place.asked()) {
                    case REST -> ", how the edge rests";
                    case ENDS -> ", under both ends";
                    case STATION, SLID -> ", " + FeelerReading.where(layout, line, place);
                };
    }

    @Override
    @Transactional
    public void key(PartFile part, String walk, Keyed keyed, UUID by) {
        FeelerSurveys.Outcome outcome = surveys.key(part, kind(walk), keyed, people::nameOf, by);
        if (outcome instanceof FeelerSurveys.Outcome.Asks asks) {
            throw new AskAgainException(asks.sentence(), asks.seen());
        }
    }

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        Map<UUID, List<FeelerFile>> files =
                surveys.ofVisits(visits.stream().map(v -> v.visit().id()).toList());
        List<KeyedLine> lines = new ArrayList<>();
        for (PartFile visit : visits) {
            Layout layout = faces.layout(visit.numbers());
            files.getOrDefault(visit.visit().id(), List.of()).forEach(f -> lines.addAll(lines(f, layout)));
        }
        return lines;
    }

    private static List<KeyedLine> lines(FeelerFile survey, Layout layout) {
        Map<UUID, LineFile> lines = new HashMap<>();
        Map<UUID, PlaceFile> places = new HashMap<>();
        for (LineFile line : survey.lines()) {
            for (PlaceFile p : line.places()) {
                lines.put(p.id(), line);
                places.put(p.id(), p);
            }
        }
        return survey.history().stream()
                .map(t -> {
                    LineFile line = lines.get(t.place());
                    PlaceFile place = places.get(t.place());
                    return new KeyedLine(
                            survey.visit(),
                            survey.kind().path(),
                            t.seq(),
                            words(layout, line, place),
                            Optional.of(line.spot(place)),
                            Optional.empty(),
                            t.said().name(),
                            t.typed(),
                            t.unit().label(),
                            t.goes().or(t::refuses),
                            t.stands(),
                            t.by(),
                            t.at());
                })
                .toList();
    }
}
