package homalon.app.chambers;

import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.app.sheets.Sheet;
import homalon.app.sheets.SheetFile;
import homalon.app.sheets.Sheets;
import org.springframework.stereotype.Component;

/** Opens the chambers of a visit. */
@Component
class ChamberFiles {
    private final Sheets sheets;
    private final Faces faces;

    ChamberFiles(Sheets sheets, Faces faces) {
        this.sheets = sheets;
        this.faces = faces;
    }

    ChamberFile of(PartFile part) {
        return of(part, sheets.of(part, Sheet.CHAMBERS));
    }

    /** @param sheet null where none was begun */
    ChamberFile of(PartFile part, SheetFile sheet) {
        return new ChamberFile(
                part, sheet == null ? SheetFile.empty(Sheet.CHAMBERS) : sheet, faces.layout(part.numbers()));
    }
}
