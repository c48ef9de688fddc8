package homalon.app.lines;

import homalon.app.drawing.ShaftDrawing;
import homalon.app.face.Findings;
import homalon.app.face.SurveyKind;
import homalon.app.face.Surveys;
import homalon.app.lines.SheetView.Picture;
import homalon.app.lines.SheetView.Row;
import homalon.app.part.PartFile;
import homalon.app.sheets.SheetFile;
import homalon.app.web.Workings;
import homalon.core.lines.BentLine;
import homalon.core.lines.ShaftLine;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Writes the line of a shaft: what is left, bow and snake, and what it says together with the face. */
@Component
class LineViews {
    private final Surveys surveys;
    private final Findings findings;

    LineViews(Surveys surveys, Findings findings) {
        this.surveys = surveys;
        this.findings = findings;
    }

    /** @param toKey how many places are left, in words */
    SheetSaid of(PartFile part, SheetFile sheet, String toKey, LengthWriter writer) {
        LineSetup setup = LineSetup.of(sheet.setup());
        Optional<LineFinding> finding = LineFinding.of(sheet);
        if (finding.isEmpty()) {
            return new SheetSaid("open", "Not settled yet", toKey, List.of(), List.of(), List.of(), Workings.NONE);
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
        return new SheetSaid(
                style,
                words,
                sentence,
                bent.map(b -> List.of(picture, together(b, writer))).orElse(List.of(picture)),
                rows,
                List.of(),
                Workings.of(List.of(working), writer));
    }

    private static Picture together(BentLine b, LengthWriter writer) {
        String figures = " Middle against the ends, + high: face " + writer.signed(Length.roundedFromMm(b.faceBow()))
                + ", line " + writer.signed(Length.roundedFromMm(b.lineBow())) + ".";
        return new Picture("Together with the face", b.words() + figures, "");
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
}
