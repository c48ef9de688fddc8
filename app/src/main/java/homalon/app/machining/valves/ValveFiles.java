package homalon.app.machining.valves;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.input.BadInputException;
import homalon.core.part.LayoutNumbers;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.ValveFile;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Opens the valves of a visit. */
@Component
@RequiredArgsConstructor
class ValveFiles {
    private final Sheets sheets;
    private final Faces faces;
    private final Memory memory;
    private final StepGauges hands;

    /**
     * A verdict is a pure value of the sheet's lines and the layout: any instance comes to the same one.
     *
     * @param last number of the sheet's last line: numbers are never given twice, so that what a transaction wrote and took back
     *     is not taken for what another wrote in its place
     */
    private record Lines(
            UUID visit, long revision, long last, LayoutNumbers numbers, BookDefaults shop, BenchGauges gauges)
            implements Question<ValveFile.Judged> {}

    /** Empty before it was said how they lie. */
    Optional<ValveFile> of(PartFile part) {
        return of(part, sheets.of(part, Sheet.VALVES));
    }

    Optional<ValveFile> of(PartFile part, SheetFile sheet) {
        BookDefaults shop = part.rules().books();
        if (sheet == null || sheet.setup().isEmpty()) {
            return Optional.empty();
        }
        BenchGauges gauges = hands.of(part, sheet).gauges();
        return Optional.of(new ValveFile(
                part,
                sheet,
                memory.answer(
                        new Lines(part.visit().id(), sheet.revision(), sheet.last(), part.numbers(), shop, gauges),
                        () -> ValveFile.Judged.of(sheet, faces.layout(part.numbers()), shop, gauges))));
    }

    /** What they are measured with, for their page. */
    void showHand(PartPage page, ValveFile file) {
        hands.show(page, file.sheet());
    }

    /** For the report: what they were measured with; empty where none was noted. */
    Optional<String> told(ValveFile file, LengthWriter writer) {
        return StepGauges.told(hands.of(file.part(), file.sheet()), writer);
    }

    /** @throws BadInputException before it was said how they lie */
    ValveFile require(PartFile part) {
        return of(part).orElseThrow(
                        () -> new BadInputException("valves", "app.valves.say-first-how-the-valves-lie-open"));
    }
}
