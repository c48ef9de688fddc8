package homalon.app.lines;

import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.Liners;
import homalon.core.quantity.Length;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What sheets say of a casting. */
@Component
public class SheetFindings {
    private final Faces faces;

    SheetFindings(Faces faces) {
        this.faces = faces;
    }

    /** As they were read; empty before the sheet is set up. */
    public Optional<Liners> liners(PartFile part, SheetFile sheet) {
        return sheet == null || sheet.setup().isEmpty()
                ? Optional.empty()
                : Optional.of(LinersSetup.of(sheet.setup()).of(sheet, faces.layout(part.numbers()), Length.ZERO));
    }

    /** Empty until all four corners are read. */
    public Optional<DeckIndex> index(PartFile part, SheetFile sheet) {
        return sheet == null || sheet.setup().isEmpty()
                ? Optional.empty()
                : IndexSetup.of(sheet.setup()).of(sheet, faces.layout(part.numbers()));
    }
}
