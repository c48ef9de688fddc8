package homalon.app.machining.chambers;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFinder;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.input.BadInputException;
import homalon.core.part.LayoutNumbers;
import homalon.core.rulebook.BookDefaults;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.EngineForm;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Opens the chambers of a visit. */
@Component
@RequiredArgsConstructor
class ChamberFiles {
    /** Of castings like it, as many are looked at. */
    private static final int LOOKED_AT = 5;

    private final PartFinder finder;
    private final Sheets sheets;
    private final Faces faces;
    private final Memory memory;
    private final StepGauges hands;

    /**
     * What was read out of a sheet's lines is a pure value of them and the layout: any instance comes to the same.
     *
     * @param last number of the sheet's last line: numbers are never given twice
     */
    private record Lines(
            UUID visit, long revision, long last, Map<String, String> setup, LayoutNumbers numbers, BookDefaults shop)
            implements Question<ChamberFile.Read> {}

    /** What they are filled and measured with, for their page. */
    void showHand(PartPage page, ChamberFile file) {
        hands.show(page, file.sheet());
    }

    ChamberFile of(PartFile part) {
        return of(part, sheets.of(part, Sheet.CHAMBERS));
    }

    /**
     * Where the shop has an engine's figures already: of the youngest casting like it for which they were keyed. Empty where its own
     * sheet is begun.
     */
    Optional<ChamberFile> alike(ChamberFile file) {
        if (file.begun()) {
            return Optional.empty();
        }
        List<PartFile> others = finder.alike(file.part(), LOOKED_AT);
        Map<UUID, Map<Sheet, SheetFile>> begun =
                sheets.ofVisits(others.stream().map(p -> p.visit().id()).toList());
        return others.stream()
                .map(p -> of(p, begun.getOrDefault(p.visit().id(), Map.of()).get(Sheet.CHAMBERS)))
                .filter(EngineForm::carries)
                .findFirst();
    }

    /** @throws BadInputException before it was begun */
    ChamberFile require(PartFile part) {
        ChamberFile file = of(part);
        if (!file.begun()) {
            throw new BadInputException("chambers", "app.chambers.begin-the-sheet-first-open-chambers-of");
        }
        return file;
    }

    /** @param sheet null where none was begun */
    ChamberFile of(PartFile part, SheetFile sheet) {
        SheetFile of = sheet == null ? SheetFile.empty(Sheet.CHAMBERS) : sheet;
        BookDefaults shop = part.rules().books();
        Lines lines = new Lines(part.visit().id(), of.revision(), of.last(), of.setup(), part.numbers(), shop);
        return new ChamberFile(
                part,
                of,
                memory.answer(
                        lines, () -> ChamberFile.Read.of(of, part.numbers(), faces.layout(part.numbers()), shop)));
    }
}
