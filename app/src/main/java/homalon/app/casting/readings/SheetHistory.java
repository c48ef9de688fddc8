package homalon.app.casting.readings;

import homalon.core.visit.Figure;
import homalon.core.visit.SheetFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;

/** The record of a sheet line by line. */
public final class SheetHistory {
    private SheetHistory() {}

    /** @param words of places by their keys; one that its sheet has no more is named by its key */
    public static List<KeyedLine> of(UUID visit, SheetFile sheet, Map<String, String> words) {
        return sheet.history().stream()
                .map(f -> new KeyedLine(
                        visit,
                        sheet.sheet().path(),
                        f.seq(),
                        words.getOrDefault(f.place(), f.place()),
                        Optional.empty(),
                        Optional.empty(),
                        f.kind().name(),
                        f.typed(),
                        f.unit().label(),
                        f.value(),
                        Optional.ofNullable(sheet.standing().get(f.place()))
                                .map(Figure::id)
                                .filter(f.id()::equals)
                                .isPresent(),
                        f.by(),
                        f.at()))
                .toList();
    }
}
