package homalon.app.check.lines;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.InTheShop;
import homalon.app.casting.sheets.Sheets;
import homalon.app.check.lines.SheetView.Picture;
import homalon.app.check.lines.SheetView.Row;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.core.cut.SetUpMethod;
import homalon.core.gauge.Scale;
import homalon.core.geometry.Spot;
import homalon.core.lines.DeckIndex;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Working;
import homalon.core.visit.IndexSetup;
import homalon.core.visit.LineSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes a deck over its crank line, and beside the other bank's. */
@Component
@RequiredArgsConstructor
class IndexViews {
    /** Other decks of one customer that are looked at. */
    private static final int BESIDES = 12;

    private final Faces faces;
    private final SheetFindings sheets;
    private final Sheets store;
    private final InTheShop shop;

    /** @param toKey how many places are left, in words */
    SheetSaid of(PartFile part, SheetFile sheet, String toKey, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        Optional<DeckIndex> index = sheets.index(part, sheet);
        Picture picture = new Picture(
                "Crank line to deck",
                "at the four corners",
                FaceDrawing.of(layout, "index", "Deck of " + part.tag() + ", heights over the crank line")
                        .places(corners(layout, sheet, writer))
                        .svg());
        if (index.isEmpty()) {
            return new SheetSaid(
                    "open", "Not read yet", toKey, List.of(picture), List.of(), List.of(), List.of(), Workings.NONE);
        }
        DeckIndex d = index.get();
        List<Row> rows = new ArrayList<>(rows(d, part.rules().books(), writer));
        IndexSetup.of(sheet.setup()).scale().ifPresent(s -> rows.add(warm(s, d, writer)));
        List<SheetView.Link> links = new ArrayList<>();
        banks(part).forEach((tag, other) -> {
            rows.add(bank(d, tag, other, writer));
            links.addAll(plans(part.tag(), d, tag, other, writer));
        });
        boolean square = d.square(BenchFigure.INDEX_SQUARE.value(part.rules().books()));
        return new SheetSaid(
                square ? "within" : "out",
                square ? "Square enough" : writer.full(d.toSquare()) + " to square it",
                "A deck can be flat and still stand askew; the cut set up parallel to the crank line takes this at its highest corner.",
                List.of(picture),
                rows,
                List.of(),
                links,
                Workings.of(List.of(working(d)), writer));
    }

    private static List<PlaceMark> corners(Layout layout, SheetFile sheet, LengthWriter writer) {
        List<PlaceMark> marks = new ArrayList<>();
        List<Spot> spots = IndexSetup.marks(layout);
        List<LineSetup.Place> places = IndexSetup.of(sheet.setup()).places();
        for (int i = 0; i < spots.size(); i++) {
            Optional<Length> value = sheet.value("c" + i);
            marks.add(new PlaceMark(
                    "c" + i,
                    spots.get(i),
                    value.isPresent() ? PlaceMark.State.READ : PlaceMark.State.OPEN,
                    value.map(writer::size).orElse(""),
                    Words.of(places.get(i).name())));
        }
        return marks;
    }

    private static List<Row> rows(DeckIndex d, BookDefaults shop, LengthWriter writer) {
        String fall = writer.signed(Length.roundedFromMm(d.fall()));
        String tilt = writer.signed(Length.roundedFromMm(d.tilt()));
        double off = Math.rint(d.bankAngleError() * 1000) / 1000;
        String angle =
                off == 0 ? "0.000°" : String.format(Locale.ROOT, "%+.3f°", off).replace('-', '\u2212');
        String lowest = writer.size(Length.roundedFromMm(d.lowest()));
        String most = writer.number(BenchFigure.INDEX_SQUARE.value(shop));
        return List.of(
                new Row("End to end", fall, side(d.fall(), "low at the rear", "high at the rear"), ""),
                new Row("Inner to outer", tilt, side(d.tilt(), "outer edge low", "outer edge high"), ""),
                new Row("Bank angle", angle, "off the nominal angle", ""),
                new Row("Lowest", lowest, "governs the squaring cut", ""),
                new Row("To square", writer.number(d.toSquare()), "off at the highest corner", ""),
                new Row(
                        "May differ",
                        most,
                        "end to end, inner to outer; "
                                + Words.of(BenchFigure.INDEX_SQUARE.source(shop).words()),
                        ""));
    }

    /** What differs by less than is shown is called neither. */
    private static String side(double off, String low, String high) {
        Length shown = Length.roundedFromMm(off);
        return shown.signum() == 0 ? "level" : shown.signum() < 0 ? low : high;
    }

    private static Row warm(Scale scale, DeckIndex d, LengthWriter writer) {
        return new Row(
                "Taken off",
                writer.number(scale.read(d.lowest()) - d.lowest()),
                "the casting at " + writer.temperature(scale.part()) + ", its gauge at "
                        + writer.temperature(scale.scale()) + ": heights stand at "
                        + writer.temperature(Scale.REFERENCE),
                "");
    }

    private static Working working(DeckIndex d) {
        return Working.of(Message.of("app.lines.squaring-cut"))
                .line(Message.of("app.lines.a-plane-parallel-to-the-crank-line-at"), d.lowest())
                .line(Message.of("app.lines.depth-at-the-highest-corner-highest"), d.toSquare())
                .line(Message.of("app.lines.bank-angle-error-atan-outer-inner"), d.tilt())
                .done();
    }

    /** Other decks of the same customer whose height was read: the other bank of a V is one of them. */
    private Map<String, DeckIndex> banks(PartFile part) {
        Map<String, DeckIndex> found = new TreeMap<>();
        List<PartFile> others = shop.besides(part, BESIDES);
        var begun = store.ofVisits(others.stream().map(p -> p.visit().id()).toList());
        for (PartFile other : others) {
            sheets.index(other, begun.getOrDefault(other.visit().id(), Map.of()).get(Sheet.INDEX))
                    .ifPresent(i -> found.put(other.tag(), i));
        }
        return found;
    }

    /** The cut that brings each bank to the height that both can have, handed to its plan. */
    private static List<SheetView.Link> plans(
            String tag, DeckIndex own, String besides, DeckIndex other, LengthWriter writer) {
        double common = DeckIndex.common(own, other);
        String height = writer.size(Length.roundedFromMm(common));
        return Stream.of(Map.entry(tag, own.toHeight(common)), Map.entry(besides, other.toHeight(common)))
                .filter(e -> e.getValue() > 0)
                .map(e -> new SheetView.Link(
                        "Plan " + e.getKey() + " to " + height,
                        "/parts/" + e.getKey() + "/plan?school=" + SetUpMethod.PARALLEL + "&total="
                                + Length.roundedFromMm(e.getValue()).mm() + "mm"))
                .toList();
    }

    private static Row bank(DeckIndex own, String tag, DeckIndex other, LengthWriter writer) {
        double above = own.above(other);
        double common = DeckIndex.common(own, other);
        return new Row(
                "Against " + tag,
                writer.signed(Length.roundedFromMm(above)),
                (above > 0 ? "this one higher" : above < 0 ? "this one lower" : "alike") + "; both to "
                        + writer.size(Length.roundedFromMm(common)) + " takes " + writer.number(own.toHeight(common))
                        + " here, " + writer.number(other.toHeight(common)) + " there",
                "");
    }
}
