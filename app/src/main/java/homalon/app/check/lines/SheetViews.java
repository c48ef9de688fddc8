package homalon.app.check.lines;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.web.WalkRows;
import homalon.app.foundation.words.Words;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.Figure;
import homalon.core.visit.IndexSetup;
import homalon.core.visit.LineSetup;
import homalon.core.visit.LinersSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes sheets for the screen. */
@Component
@RequiredArgsConstructor
class SheetViews {
    private final Faces faces;
    private final LineViews lines;
    private final LinersViews liners;
    private final IndexViews indexes;

    List<LineSetup.Place> places(PartFile part, SheetFile sheet) {
        if (sheet.setup().isEmpty()) {
            return List.of();
        }
        return switch (sheet.sheet()) {
            case LINE -> {
                List<LineSetup> shafts = LineSetup.all(sheet);
                yield shafts.stream()
                        .flatMap(l -> l.places(shafts.size() > 1).stream())
                        .toList();
            }
            case LINERS -> LinersSetup.places(faces.layout(part.numbers()));
            case INDEX -> IndexSetup.of(sheet.setup()).places();
            case VALVES, CHAMBERS -> throw new IllegalStateException("these are walked on their own page");
        };
    }

    SheetView of(PartFile part, SheetFile sheet, LengthWriter writer) {
        List<LineSetup.Place> places = places(part, sheet);
        long open = places.stream().filter(p -> sheet.value(p.key()).isEmpty()).count();
        String toKey = open + (open == 1 ? " place" : " places") + " to key.";
        SheetSaid said = switch (sheet.sheet()) {
            case LINE -> lines.of(part, sheet, toKey, writer);
            case LINERS -> liners.of(part, sheet, toKey, writer);
            case INDEX -> indexes.of(part, sheet, toKey, writer);
            case VALVES, CHAMBERS -> throw new IllegalStateException("these are shown on their own page");
        };
        return new SheetView(
                said.style(),
                said.words(),
                said.sentence(),
                said.pictures(),
                said.rows(),
                said.trims(),
                said.links(),
                said.workings(),
                walk(places, sheet, writer),
                places.stream().allMatch(p -> sheet.standing().containsKey(p.key())),
                sheet.revision());
    }

    private static String written(SheetFile sheet, Figure figure, Length value, LengthWriter writer) {
        if (figure.typed().endsWith("+")) {
            return writer.number(value) + " goes";
        }
        if (figure.typed().endsWith("-")) {
            return writer.number(value) + " refused";
        }
        return sheet.sheet() == Sheet.INDEX ? writer.size(value) : writer.signed(value);
    }

    private static String walk(List<LineSetup.Place> places, SheetFile sheet, LengthWriter writer) {
        WalkRows list = new WalkRows();
        for (LineSetup.Place p : places) {
            Figure figure = sheet.standing().get(p.key());
            Optional<Length> value = sheet.value(p.key());
            list.add(new WalkRows.Place(
                    p.key(),
                    Words.of(p.name()),
                    WalkRows.State.of(figure != null, value.isEmpty()),
                    value.map(v -> written(sheet, figure, v, writer)).orElse(""),
                    figure == null ? 0 : figure.seq()));
        }
        return list.html();
    }
}
