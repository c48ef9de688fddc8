package homalon.app.check.lines;

import homalon.app.casting.part.Faces;
import homalon.app.check.lines.SheetView.Picture;
import homalon.app.check.lines.SheetView.Row;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.core.geometry.Spot;
import homalon.core.lines.Liners;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.visit.LinersSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.SheetFile;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes liners: how each stands, and what to trim. */
@Component
@RequiredArgsConstructor
class LinersViews {
    private final Faces faces;
    private final SheetFindings sheets;

    /** @param toKey how many places are left, in words */
    SheetSaid of(PartFile part, SheetFile sheet, String toKey, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        LinersSetup setup = LinersSetup.of(sheet.setup());
        Liners liners = sheets.liners(part, sheet).orElseThrow();
        List<Row> rows = new ArrayList<>();
        liners.each().forEach(one -> rows.add(row(one, writer)));
        rows.addAll(limits(setup, liners, writer));
        List<String> trims = liners.each().stream()
                .filter(o -> o.trim() > 0)
                .map(o -> trim(o, writer))
                .toList();
        String words = switch (liners.verdict()) {
            case WITHIN -> "Within";
            case OUT -> trims.isEmpty() ? "Out" : trims.size() + " to trim";
            case NOT_PROVEN -> "Not proven yet";
        };
        Picture picture = new Picture(
                "Liners above the deck",
                "front at the left; 12 o'clock is towards the front",
                FaceDrawing.of(layout, "liners", "Liners of " + part.tag() + ", " + words)
                        .places(clock(layout, sheet, writer))
                        .svg());
        return new SheetSaid(
                style(liners.verdict(), "open"),
                words,
                liners.verdict() == Verdict.NOT_PROVEN ? open(sheet, layout, toKey) : sentence(setup),
                List.of(picture),
                rows,
                trims,
                List.of(),
                Workings.of(List.of(working(setup)), writer));
    }

    private static String style(Verdict verdict, String unknown) {
        return verdict == Verdict.NOT_PROVEN ? unknown : verdict.name().toLowerCase(Locale.ROOT);
    }

    private static String sentence(LinersSetup setup) {
        return setup.school() == Liners.School.PROUD
                ? "Clamped down while read; they settle, so the middle of the range is aimed at."
                : "Flush with the deck, or proud by a breath; a trimmed liner may need the same off the crown.";
    }

    /** Places to key, or, with all of them read, what lies too near its limit. */
    private static String open(SheetFile sheet, Layout layout, String toKey) {
        boolean read = LinersSetup.places(layout).stream()
                .allMatch(p -> sheet.value(p.key()).isPresent());
        return read ? "Too near a limit to tell: read it again with a finer indicator, or bring it to the aim." : toKey;
    }

    private static Row row(Liners.One one, LengthWriter writer) {
        String value = one.mean().isEmpty() ? "—" : writer.signed(one.mean().getAsDouble());
        String lean = one.tilt().isEmpty()
                ? ""
                : ", leans " + writer.number(one.tilt().getAsDouble());
        return new Row("Liner " + one.number(), value, Words.of(one.why()) + lean, style(one.verdict(), ""));
    }

    private static String trim(Liners.One one, LengthWriter writer) {
        return "Liner " + one.number() + ": take " + writer.full(one.trim()) + " off its top; mark " + one.number()
                + " and an arrow to the front on it";
    }

    private static List<Row> limits(LinersSetup setup, Liners liners, LengthWriter writer) {
        String source = setup.usual() ? ", general default for such a gasket" : ", as keyed here";
        return List.of(
                new Row(
                        "Neighbours differ",
                        writer.number(liners.step()),
                        "at most " + writer.number(setup.range().step()) + ", general default",
                        liners.step() > setup.range().step() ? "out" : ""),
                new Row(
                        "May stand",
                        "",
                        writer.number(setup.least()) + " to " + writer.full(setup.most()) + ", "
                                + Words.of(setup.school().words()) + source + "; "
                                + Words.of(setup.held().words()),
                        ""));
    }

    private static Working working(LinersSetup setup) {
        return Working.of(Message.of("app.lines.trim"))
                .line(
                        Message.of("app.lines.trim-mean-aim-where-a-place-stands"),
                        setup.range().most(),
                        setup.range().aim())
                .line(
                        Message.of("app.lines.lean-the-larger-difference-of-two"),
                        setup.range().tilt())
                .done();
    }

    private static List<PlaceMark> clock(Layout layout, SheetFile sheet, LengthWriter writer) {
        List<PlaceMark> marks = new ArrayList<>();
        for (Layout.Bore b : layout.bores()) {
            double r = b.diameter() / 2 + 3;
            // 12 o'clock lies towards the front, which is at the left of the drawing.
            double[][] ways = {{-1, 0}, {0, 1}, {1, 0}, {0, -1}};
            for (int k = 0; k < ways.length; k++) {
                String key = b.number() + "@" + LinersSetup.CLOCK.get(k);
                Optional<Length> value = sheet.value(key);
                marks.add(new PlaceMark(
                        key,
                        new Spot(b.centre().x() + r * ways[k][0], b.centre().y() + r * ways[k][1]),
                        value.isPresent() ? PlaceMark.State.READ : PlaceMark.State.OPEN,
                        value.map(writer::signed).orElse(""),
                        "Liner " + b.number() + " at " + LinersSetup.CLOCK.get(k) + " o'clock"));
            }
        }
        return marks;
    }
}
