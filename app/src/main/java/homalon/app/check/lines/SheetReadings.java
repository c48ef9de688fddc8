package homalon.app.check.lines;

import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.SheetHistory;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.input.InPath;
import homalon.core.lines.SaddleGap;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.Figure;
import homalon.core.visit.LineSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Readings of the line of a shaft, of liners and of the deck's height. */
@Component
@RequiredArgsConstructor
class SheetReadings implements TakesReadings {
    private static final List<Sheet> OWN = List.of(Sheet.LINE, Sheet.LINERS, Sheet.INDEX);

    private final Sheets sheets;
    private final SheetViews views;

    @Override
    public List<String> walks() {
        return OWN.stream().map(Sheet::path).toList();
    }

    @Override
    public List<ReadingPlace> places(PartFile part, String walk) {
        SheetFile file = sheets.of(part, InPath.find(Sheet.class, walk).orElseThrow());
        return views.places(part, file).stream()
                .map(p -> new ReadingPlace(
                        p.key(),
                        Words.of(p.name()),
                        Optional.empty(),
                        Optional.ofNullable(file.standing().get(p.key())).map(Figure::typed)))
                .toList();
    }

    @Override
    @Transactional
    public void key(PartFile part, String walk, Keyed keyed, UUID by) {
        Sheet sheet = InPath.find(Sheet.class, walk).orElseThrow();
        SheetFile file = sheets.of(part, sheet);
        if (views.places(part, file).stream().noneMatch(p -> p.key().equals(keyed.place()))) {
            throw new BadInputException("place", "app.lines.that-place-is-not-on-this-sheet-any");
        }
        Sheets.Hand hand = Sheets.Hand.of(keyed, by);
        Optional<LineSetup> saddles = sheet == Sheet.LINE
                ? LineSetup.all(file).stream()
                        .filter(l -> l.takesBlade(keyed.place()))
                        .findFirst()
                : Optional.empty();
        if (saddles.isPresent() && !keyed.skips()) {
            SaddleGap.Tried tried =
                    SaddleGap.Tried.parse(keyed.typed(), saddles.get().blade().orElseThrow(), keyed.unit());
            String said = new LengthWriter(keyed.unit()).exact(tried.blade()) + (tried.goes() ? "+" : "-");
            sheets.say(part, sheet, keyed.place(), Optional.of(tried.blade()), said, keyed.unit(), hand);
        } else {
            sheets.key(part, sheet, keyed, by);
        }
    }

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        Map<UUID, Map<Sheet, SheetFile>> files =
                sheets.ofVisits(visits.stream().map(v -> v.visit().id()).toList());
        List<KeyedLine> lines = new ArrayList<>();
        for (PartFile visit : visits) {
            Map<Sheet, SheetFile> own = files.getOrDefault(visit.visit().id(), Map.of());
            OWN.stream()
                    .filter(own::containsKey)
                    .map(own::get)
                    .forEach(f -> lines.addAll(SheetHistory.of(visit.visit().id(), f, words(visit, f))));
        }
        return lines;
    }

    private Map<String, String> words(PartFile visit, SheetFile file) {
        return views.places(visit, file).stream()
                .collect(Collectors.toMap(LineSetup.Place::key, p -> Words.of(p.name()), (a, b) -> a));
    }
}
