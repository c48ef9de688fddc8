package homalon.app.lines;

import homalon.app.drawing.FaceDrawing;
import homalon.app.drawing.Markup;
import homalon.app.drawing.PlaceMark;
import homalon.app.drawing.ShaftDrawing;
import homalon.app.face.Findings;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.lines.SheetView.Picture;
import homalon.app.lines.SheetView.Row;
import homalon.app.part.Faces;
import homalon.app.part.PartFile;
import homalon.app.web.WorkingView;
import homalon.core.geometry.Spot;
import homalon.core.lines.BentLine;
import homalon.core.lines.DeckIndex;
import homalon.core.lines.Liners;
import homalon.core.lines.ShaftLine;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes sheets for the screen. */
@Component
class SheetViews {
    private final Faces faces;
    private final Surveys surveys;
    private final Findings findings;
    private final SheetFindings sheets;

    SheetViews(Faces faces, Surveys surveys, Findings findings, SheetFindings sheets) {
        this.faces = faces;
        this.surveys = surveys;
        this.findings = findings;
        this.sheets = sheets;
    }

    List<LineSetup.Place> places(PartFile part, SheetFile sheet) {
        if (sheet.setup().isEmpty()) {
            return List.of();
        }
        return switch (sheet.sheet()) {
            case LINE -> LineSetup.of(sheet.setup()).places();
            case LINERS -> LinersSetup.places(faces.layout(part.numbers()));
            case INDEX -> IndexSetup.places();
        };
    }

    SheetView of(PartFile part, SheetFile sheet, LengthWriter writer) {
        return switch (sheet.sheet()) {
            case LINE -> line(part, sheet, writer);
            case LINERS -> liners(part, sheet, writer);
            case INDEX -> index(part, sheet, writer);
        };
    }

    private SheetView line(PartFile part, SheetFile sheet, LengthWriter writer) {
        LineSetup setup = LineSetup.of(sheet.setup());
        Optional<LineFinding> finding = LineFinding.of(sheet);
        if (finding.isEmpty()) {
            return view(
                    part,
                    sheet,
                    "open",
                    "Not settled yet",
                    left(part, sheet),
                    List.of(),
                    List.of(),
                    List.of(),
                    List.of(),
                    writer);
        }
        LineFinding f = finding.get();
        ShaftLine s = f.shaft();
        List<String> left = s.left().stream().map(writer::number).toList();
        List<Row> rows = new ArrayList<>();
        String most = f.span()
                .map(b -> "between " + writer.number(b.least()) + " and " + writer.number(b.most()))
                .orElse(writer.number(s.clearanceLeft()));
        rows.add(new Row(
                "Clearance left",
                f.span().isPresent() ? "" : most,
                f.span().isPresent() ? most + ", by feelers" : "on the diameter, best line",
                ""));
        rows.add(new Row(
                "Least to run",
                writer.number(setup.running()),
                setup.running().equals(LineSetup.DEFAULT_RUNNING) ? "general default" : "as keyed here",
                ""));
        rows.add(new Row(
                "Bow",
                writer.number(Math.abs(s.bow())),
                s.bow() > 0 ? "middle high" : s.bow() < 0 ? "middle low" : "none",
                ""));
        rows.add(new Row("Straightness", writer.number(s.zone()), "of the heights", ""));
        rows.add(new Row(
                "Snake", Integer.toString(s.snakes()), s.snakes() == 0 ? "no change of side" : "changes of side", ""));
        rows.add(new Row("Worst bore", Integer.toString(s.worst() + 1), left.get(s.worst()) + " left there", ""));
        String words = switch (f.verdict()) {
            case FREE -> "Free";
            case TIGHT -> "Tight";
            case BINDS -> "Binds by " + writer.number(Math.abs(s.clearanceLeft()));
            case NOT_PROVEN -> "Not proven yet";
        };
        String sentence = switch (f.verdict()) {
            case FREE -> "A straight shaft turns in all bores with " + writer.full(s.clearanceLeft()) + " left.";
            case TIGHT -> "A straight shaft goes in, but with less than it needs to run.";
            case BINDS -> "No straight shaft fits: " + inTheWay(s) + ".";
            case NOT_PROVEN ->
                "The feelers leave it open: try thinner steps of blades at bore " + (s.worst() + 1) + " first.";
        };
        Optional<BentLine> bent = bent(part, f);
        bent.ifPresent(b -> rows.add(new Row(
                "With the face",
                "",
                b.words() + " (middle against the ends: face " + writer.signed(Length.roundedFromMm(b.faceBow()))
                        + ", line " + writer.signed(Length.roundedFromMm(b.lineBow())) + ")",
                b.advice() == BentLine.Advice.STRAIGHTEN ? "out" : "")));
        String style = switch (f.verdict()) {
            case FREE -> "within";
            case BINDS -> "out";
            default -> "open";
        };
        Picture picture = new Picture(
                setup.name() + " from the side",
                "heights enlarged " + ShaftDrawing.enlarged(s, f.bores())
                        + " times · gates as wide as each clearance · line: where a straight shaft would lie",
                ShaftDrawing.svg(
                        s,
                        f.bores(),
                        left,
                        setup.name() + ", " + words + ". Left at each bore: " + String.join(", ", left)));
        Working working = Working.of("Clearance left")
                .line(
                        "A straight shaft fits when a line passes within c / 2 of every bore's centre; left is twice the largest m with |h − line| ≤ c / 2 − m at every bore"
                                + (setup.sideways() ? ", up and sideways together: √(dy² + dz²)" : ""))
                .line(
                        "best line: {} at the first bore, rising {} over the line",
                        s.line().heightAt(f.bores().get(0).at()),
                        s.line().rise()
                                * (f.bores().get(f.bores().size() - 1).at()
                                        - f.bores().get(0).at()))
                .line("least left at bore " + (s.worst() + 1) + ": {}", s.left().get(s.worst()))
                .done();
        return view(
                part,
                sheet,
                style,
                words,
                sentence,
                List.of(picture),
                rows,
                List.of(),
                List.of(WorkingView.of(working, writer)),
                writer);
    }

    private static String inTheWay(ShaftLine s) {
        List<String> bores = new ArrayList<>();
        for (int i = 0; i < s.left().size(); i++) {
            if (s.left().get(i) < -1e-9) {
                bores.add(Integer.toString(i + 1));
            }
        }
        return bores.size() == 1
                ? "bore " + bores.get(0) + " is in its way"
                : "bores " + String.join(", ", bores) + " hold it";
    }

    /** What face and line say together; empty while the face is not read. */
    private Optional<BentLine> bent(PartFile part, LineFinding line) {
        return surveys.find(part, SurveyKind.FACE)
                .filter(s -> s.complete())
                .flatMap(s -> findings.of(part, s))
                .filter(f -> f.judgement().flatness().bend().longBow().isPresent())
                .map(f -> BentLine.of(
                        -f.judgement().flatness().bend().longBow().getAsDouble(),
                        f.judgement().worst(),
                        line.shaft().bow(),
                        line.verdict()));
    }

    private SheetView liners(PartFile part, SheetFile sheet, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        LinersSetup setup = LinersSetup.of(sheet.setup());
        Liners liners = sheets.liners(part, sheet).orElseThrow();
        List<Row> rows = new ArrayList<>();
        List<String> trims = new ArrayList<>();
        for (Liners.One one : liners.each()) {
            String style = one.verdict() == Verdict.NOT_PROVEN
                    ? ""
                    : one.verdict().name().toLowerCase(Locale.ROOT);
            String value = Double.isNaN(one.mean()) ? "—" : writer.signed(Length.roundedFromMm(one.mean()));
            String lean = Double.isNaN(one.tilt()) ? "" : ", leans " + writer.number(one.tilt());
            rows.add(new Row("Liner " + one.number(), value, one.why() + lean, style));
            if (one.trim() > 0) {
                trims.add("Liner " + one.number() + ": take " + writer.full(one.trim()) + " off its top; mark "
                        + one.number() + " and an arrow to the front on it");
            }
        }
        rows.add(new Row(
                "Neighbours differ",
                writer.number(liners.step()),
                "at most " + writer.number(setup.range().step()) + ", general default",
                liners.step() > setup.range().step() ? "out" : ""));
        rows.add(new Row(
                "May stand",
                "",
                writer.number(setup.least()) + " to " + writer.full(setup.most()) + ", "
                        + setup.school().words()
                        + (setup.usual() ? ", general default for such a gasket" : ", as keyed here"),
                ""));
        String words = switch (liners.verdict()) {
            case WITHIN -> "Within";
            case OUT -> trims.isEmpty() ? "Out" : trims.size() + (trims.size() == 1 ? " to trim" : " to trim");
            case NOT_PROVEN -> "Not proven yet";
        };
        String sentence = liners.verdict() == Verdict.NOT_PROVEN
                ? left(part, sheet)
                : setup.school() == Liners.School.PROUD
                        ? "Clamped down while read; they settle, so the middle of the range is aimed at."
                        : "Flush with the deck, or proud by a breath; a trimmed liner may need the same off the crown.";
        Working working = Working.of("Trim")
                .line(
                        "trim = mean − aim where a place stands above {}; aim {}",
                        setup.range().most(),
                        setup.range().aim())
                .line(
                        "lean: the larger difference of two places across, at most {}, a general default",
                        setup.range().tilt())
                .done();
        Picture picture = new Picture(
                "Liners above the deck",
                "front at the left; 12 o'clock is towards the front",
                FaceDrawing.of(layout, "liners", "Liners of " + part.tag() + ", " + words)
                        .places(clock(layout, sheet, writer))
                        .svg());
        return view(
                part,
                sheet,
                liners.verdict() == Verdict.NOT_PROVEN
                        ? "open"
                        : liners.verdict().name().toLowerCase(Locale.ROOT),
                words,
                sentence,
                List.of(picture),
                rows,
                trims,
                List.of(WorkingView.of(working, writer)),
                writer);
    }

    private static List<PlaceMark> clock(Layout layout, SheetFile sheet, LengthWriter writer) {
        List<PlaceMark> marks = new ArrayList<>();
        for (Layout.Bore b : layout.bores()) {
            double r = b.diameter() / 2 + 3;
            // 12 o'clock lies towards the front, which is at the left of the drawing.
            double[][] ways = {{-1, 0}, {0, 1}, {1, 0}, {0, -1}};
            for (int k = 0; k < ways.length; k++) {
                String key = b.number() + "@" + LinersSetup.CLOCK[k];
                Optional<Length> value = sheet.value(key);
                marks.add(new PlaceMark(
                        key,
                        new Spot(b.centre().x() + r * ways[k][0], b.centre().y() + r * ways[k][1]),
                        value.isPresent() ? PlaceMark.State.READ : PlaceMark.State.OPEN,
                        value.map(writer::signed).orElse(""),
                        "Liner " + b.number() + " at " + LinersSetup.CLOCK[k] + " o'clock"));
            }
        }
        return marks;
    }

    private SheetView index(PartFile part, SheetFile sheet, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        Optional<DeckIndex> index = sheets.index(part, sheet);
        List<PlaceMark> marks = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Spot c = layout.corners().get(i);
            Spot inside = new Spot(c.x() > 0 ? c.x() - 14 : 14, c.y() > 0 ? c.y() - 14 : 14);
            Optional<Length> value = sheet.value("c" + i);
            marks.add(new PlaceMark(
                    "c" + i,
                    inside,
                    value.isPresent() ? PlaceMark.State.READ : PlaceMark.State.OPEN,
                    value.map(writer::size).orElse(""),
                    IndexSetup.places().get(i).name()));
        }
        Picture picture = new Picture(
                "Crank line to deck",
                "at the four corners",
                FaceDrawing.of(layout, "index", "Deck of " + part.tag() + ", heights over the crank line")
                        .places(marks)
                        .svg());
        if (index.isEmpty()) {
            return view(
                    part,
                    sheet,
                    "open",
                    "Not read yet",
                    left(part, sheet),
                    List.of(picture),
                    List.of(),
                    List.of(),
                    List.of(),
                    writer);
        }
        DeckIndex d = index.get();
        List<Row> rows = List.of(
                new Row(
                        "End to end",
                        writer.signed(Length.roundedFromMm(d.fall())),
                        d.fall() < 0 ? "low at the back" : "high at the back",
                        ""),
                new Row(
                        "Inner to outer",
                        writer.signed(Length.roundedFromMm(d.tilt())),
                        d.tilt() < 0 ? "outer edge low" : "outer edge high",
                        ""),
                new Row(
                        "Bank angle",
                        String.format(Locale.ROOT, "%+.3f°", d.bankAngleError()),
                        "off the nominal angle",
                        ""),
                new Row("Lowest", writer.size(Length.roundedFromMm(d.lowest())), "governs the squaring cut", ""),
                new Row("To square", writer.number(d.toSquare()), "off at the highest corner", ""),
                new Row(
                        "May differ",
                        writer.number(DeckIndex.DEFAULT_SQUARE),
                        "end to end, inner to outer; general default",
                        ""));
        Working working = Working.of("Squaring cut")
                .line(
                        "a plane parallel to the crank line at the nominal bank angle, down to the lowest place {}",
                        d.lowest())
                .line("depth at the highest corner = highest − lowest = {}", d.toSquare())
                .line("bank angle error = atan((outer − inner) / distance), outer − inner = {}", d.tilt())
                .done();
        return view(
                part,
                sheet,
                d.square(DeckIndex.DEFAULT_SQUARE) ? "within" : "out",
                d.square(DeckIndex.DEFAULT_SQUARE) ? "Square enough" : writer.full(d.toSquare()) + " to square it",
                "A deck can be flat and still stand askew; the cut set up parallel to the crank line takes this at its highest corner.",
                List.of(picture),
                rows,
                List.of(),
                List.of(WorkingView.of(working, writer)),
                writer);
    }

    private String left(PartFile part, SheetFile sheet) {
        long open = places(part, sheet).stream()
                .filter(p -> sheet.value(p.key()).isEmpty())
                .count();
        return open + (open == 1 ? " place" : " places") + " to key.";
    }

    private SheetView view(
            PartFile part,
            SheetFile sheet,
            String style,
            String words,
            String sentence,
            List<Picture> pictures,
            List<Row> rows,
            List<String> trims,
            List<WorkingView> workings,
            LengthWriter writer) {
        List<LineSetup.Place> places = places(part, sheet);
        boolean complete = places.stream().allMatch(p -> sheet.standing().containsKey(p.key()));
        return new SheetView(
                style,
                words,
                sentence,
                pictures,
                rows,
                trims,
                workings,
                walk(places, sheet, writer),
                complete,
                sheet.revision());
    }

    private static String walk(List<LineSetup.Place> places, SheetFile sheet, LengthWriter writer) {
        Markup list = new Markup();
        int n = 0;
        for (LineSetup.Place p : places) {
            SheetFile.Figure figure = sheet.standing().get(p.key());
            Optional<Length> value = sheet.value(p.key());
            boolean big = sheet.sheet() == Sheet.INDEX;
            String written =
                    value.map(v -> big ? writer.size(v) : writer.signed(v)).orElse("");
            list.open("li")
                    .open(
                            "button",
                            "type",
                            "button",
                            "data-place",
                            p.key(),
                            "data-name",
                            p.name(),
                            "data-state",
                            figure == null ? "open" : value.isPresent() ? "read" : "skipped",
                            "data-value",
                            written,
                            "data-seen",
                            figure == null ? 0L : figure.seq());
            list.open("span")
                    .text(Integer.toString(++n))
                    .close("span")
                    .open("span")
                    .text(p.name())
                    .close("span");
            list.open("span", "class", "value")
                    .text(figure == null ? "not read" : value.isPresent() ? written : "skipped")
                    .close("span");
            list.close("button").close("li");
        }
        return list.toString();
    }
}
