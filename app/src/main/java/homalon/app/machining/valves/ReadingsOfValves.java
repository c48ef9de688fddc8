package homalon.app.machining.valves;

import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.SheetHistory;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.core.input.BadInputException;
import homalon.core.valves.Measure;
import homalon.core.visit.Figure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Readings of guides, stems and seats. */
@Component
@RequiredArgsConstructor
class ReadingsOfValves implements TakesReadings {
    private final ValveFiles files;
    private final ValveKeys keys;
    private final Sheets sheets;

    @Override
    public List<String> walks() {
        return List.of(Sheet.VALVES.path());
    }

    private static Stream<ValveViews.Place> places(ValveFile file) {
        return Arrays.stream(Measure.Walk.values()).flatMap(w -> ValveViews.places(file, w).stream());
    }

    @Override
    public List<ReadingPlace> places(PartFile part, String walk) {
        return files.of(part).stream()
                .flatMap(file -> places(file)
                        .map(p -> new ReadingPlace(
                                p.key(),
                                p.words(),
                                Optional.empty(),
                                p.standing(file).map(Figure::typed))))
                .toList();
    }

    /** The place of that key. */
    static ValveViews.Place at(ValveFile file, String key) {
        return places(file)
                .filter(p -> p.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new BadInputException("place", "app.valves.that-place-is-not-on-this-sheet-any"));
    }

    @Override
    @Transactional
    public void key(PartFile part, String walk, Keyed keyed, UUID by) {
        ValveFile file = files.require(part);
        ValveViews.Place at = at(file, keyed.place());
        keys.key(file, at.valve(), at.measure(), keyed, by);
    }

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        Map<UUID, Map<Sheet, SheetFile>> all =
                sheets.ofVisits(visits.stream().map(v -> v.visit().id()).toList());
        List<KeyedLine> lines = new ArrayList<>();
        for (PartFile visit : visits) {
            UUID id = visit.visit().id();
            files.of(visit, all.getOrDefault(id, Map.of()).get(Sheet.VALVES)).ifPresent(file -> {
                Map<String, String> words = places(file)
                        .collect(Collectors.toMap(ValveViews.Place::key, ValveViews.Place::words, (a, b) -> a));
                lines.addAll(SheetHistory.of(id, file.sheet(), words));
            });
        }
        return lines;
    }
}
