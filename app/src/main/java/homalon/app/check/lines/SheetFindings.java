package homalon.app.check.lines;

import homalon.app.casting.part.Faces;
import homalon.app.casting.sheets.Sheets;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.geometry.Plane;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.Liners;
import homalon.core.lines.Taper;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.visit.IndexSetup;
import homalon.core.visit.LinersSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.SquareReference;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What sheets say of a casting. */
@Component
@RequiredArgsConstructor
public class SheetFindings implements SquareReference {
    private final Faces faces;
    private final Sheets sheets;
    private final StepGauges gauges;

    @Override
    public Optional<Plane> over(PartFile part) {
        if (part.kind() != PartKind.DECK) {
            return Optional.empty();
        }
        SheetFile sheet = sheets.of(part, Sheet.INDEX);
        return sheet.setup().isEmpty()
                ? Optional.empty()
                : IndexSetup.of(sheet.setup())
                        .heights(sheet, faces.layout(part.numbers()))
                        .flatMap(h -> Taper.of(h, faces.layout(part.numbers()).box()))
                        .map(Taper::plane);
    }

    /** As they were read; empty before the sheet is set up. */
    public Optional<Liners> liners(PartFile part, SheetFile sheet) {
        return sheet == null || sheet.setup().isEmpty()
                ? Optional.empty()
                : Optional.of(LinersSetup.of(sheet.setup())
                        .of(
                                sheet,
                                faces.layout(part.numbers()),
                                Length.ZERO,
                                gauges.of(part, sheet).gauges()));
    }

    /** Empty until all four corners are read. */
    public Optional<DeckIndex> index(PartFile part, SheetFile sheet) {
        return sheet == null || sheet.setup().isEmpty()
                ? Optional.empty()
                : IndexSetup.of(sheet.setup()).of(sheet, faces.layout(part.numbers()));
    }
}
