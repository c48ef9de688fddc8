package homalon.app.lines;

import homalon.app.sheets.SheetFile;
import homalon.core.lines.ShaftLine;
import homalon.core.lines.ShaftLine.Between;
import homalon.core.lines.ShaftLine.Bore;
import homalon.core.lines.ShaftLine.Turns;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a line's figures say.
 *
 * @param shaft best line through what was read; with feelers through the middles of what they allow
 * @param span what feelers allow; empty with an indicator
 */
public record LineFinding(ShaftLine shaft, List<Bore> bores, Optional<ShaftLine.Span> span, Turns verdict) {

    /**
     * One shaft as it stands.
     *
     * @param oldest reading of it that counts
     */
    public record Shaft(String name, Optional<Instant> oldest, Turns turns) {}

    /** Every shaft that was set up. */
    public static List<Shaft> shafts(SheetFile sheet) {
        return LineSetup.all(sheet).stream()
                .map(s -> new Shaft(
                        s.name(),
                        s.places(false).stream()
                                .flatMap(p ->
                                        Optional.ofNullable(sheet.standing().get(p.key())).stream())
                                .map(SheetFile.Figure::at)
                                .min(Comparator.naturalOrder()),
                        of(sheet, s).map(LineFinding::verdict).orElse(Turns.NOT_PROVEN)))
                .toList();
    }

    /** Empty until every bore of that shaft is read. */
    static Optional<LineFinding> of(SheetFile sheet, LineSetup setup) {
        double running = setup.running().mm();
        List<Bore> bores = new ArrayList<>();
        List<Between> felt = new ArrayList<>();
        for (int i = 0; i < setup.at().size(); i++) {
            double at = setup.at().get(i).mm();
            double clearance = setup.clearance().get(i).mm();
            if (setup.way() == LineSetup.Way.FEELERS) {
                // A gap under the edge is a bore that stands low.
                double goes = sheet.mm(setup.key("go", i));
                double refused = sheet.mm(setup.key("no", i));
                if (Double.isNaN(goes) || Double.isNaN(refused)) {
                    return Optional.empty();
                }
                felt.add(new Between(at, -refused, -goes, clearance));
                bores.add(new Bore(at, -(goes + refused) / 2, 0, clearance));
            } else {
                double height = sheet.mm(setup.key("h", i));
                double side = setup.sideways() ? sheet.mm(setup.key("s", i)) : 0;
                if (Double.isNaN(height) || Double.isNaN(side)) {
                    return Optional.empty();
                }
                bores.add(new Bore(at, height, side, clearance));
            }
        }
        if (felt.isEmpty()) {
            ShaftLine shaft = ShaftLine.of(bores, running);
            return Optional.of(new LineFinding(shaft, bores, Optional.empty(), shaft.verdict()));
        }
        ShaftLine.Span span = ShaftLine.between(felt, running);
        return Optional.of(new LineFinding(span.middle(), bores, Optional.of(span), span.verdict()));
    }
}
