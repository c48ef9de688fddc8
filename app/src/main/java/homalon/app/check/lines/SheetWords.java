package homalon.app.check.lines;

import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.GaugesInHand;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the sheets of a part say, in sentences for the report. */
@Component
@RequiredArgsConstructor
public class SheetWords {
    private final Sheets sheets;
    private final SheetViews views;
    private final StepGauges gauges;

    public List<String> of(PartFile part, LengthWriter writer) {
        UUID visit = part.visit().id();
        Map<Sheet, SheetFile> begun = sheets.ofVisits(List.of(visit)).getOrDefault(visit, Map.of());
        List<String> said = new ArrayList<>();
        begun.forEach((sheet, file) -> {
            if (sheet == Sheet.VALVES || sheet == Sheet.CHAMBERS) {
                return; // they have a table of their own
            }
            GaugesInHand with = gauges.of(part, file);
            List<String> shafts = sheet == Sheet.LINE ? LineViews.each(file, with.gauges(), writer) : List.of();
            if (sheet == Sheet.LINE && shafts.isEmpty()) {
                return; // those that were set up were dropped again
            }
            SheetView view = views.of(part, file, writer);
            said.add(Words.of(sheet.words()) + ": " + view.words() + ". " + view.sentence());
            if (shafts.size() > 1) {
                said.add(String.join("; ", shafts) + ".");
            }
            StepGauges.told(with, writer).ifPresent(t -> said.add(Words.of(sheet.words()) + ", " + t));
            view.trims().forEach(t -> said.add(t + "."));
        });
        return said;
    }
}
