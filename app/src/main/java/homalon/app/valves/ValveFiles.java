package homalon.app.valves;

import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.SheetFile;
import homalon.app.sheets.Sheets;
import homalon.core.input.BadInputException;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Opens the valves of a visit. */
@Component
class ValveFiles {
    private final Sheets sheets;
    private final Faces faces;

    ValveFiles(Sheets sheets, Faces faces) {
        this.sheets = sheets;
        this.faces = faces;
    }

    /** Empty before it was said how they lie. */
    Optional<ValveFile> of(PartFile part) {
        return of(part, sheets.of(part, Sheet.VALVES));
    }

    Optional<ValveFile> of(PartFile part, SheetFile sheet) {
        return sheet == null || sheet.setup().isEmpty()
                ? Optional.empty()
                : Optional.of(ValveFile.of(part, sheet, faces.layout(part.numbers())));
    }

    /** @throws BadInputException before it was said how they lie */
    ValveFile require(PartFile part) {
        return of(part).orElseThrow(() ->
                new BadInputException("valves", "Say first how the valves lie: open Valves of this part."));
    }
}
