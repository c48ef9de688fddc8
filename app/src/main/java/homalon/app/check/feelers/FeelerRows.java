package homalon.app.check.feelers;

import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.BowDrawing;
import homalon.app.foundation.words.Words;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerWords;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.sure.Odds;
import homalon.core.visit.FeelerReading;
import java.util.ArrayList;
import java.util.List;

/** The figures of a feeler survey: what each judged line may have, and the table beside the drawing. */
final class FeelerRows {
    private final FeelerReading read;
    private final LengthWriter writer;
    private final Layout layout;
    private final FlatnessLimit limit;
    private final FeelerResult result;

    FeelerRows(FeelerReading read) {
        this.read = read;
        this.writer = read.writer();
        this.layout = read.layout();
        this.limit = read.limit();
        this.result = read.result();
    }

    /** As a drawing. */
    String bows() {
        double full = 1.6 * limit.most().mm();
        List<BowDrawing.Panel> panels = new ArrayList<>();
        for (Bow bow : result.bows()) {
            Range k = bow.quarterK().orElse(new Range(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY));
            String name = switch (bow.line()) {
                case LOWER_EDGE, UPPER_EDGE, CROSSWISE -> capital(Words.of(FeelerWords.line(bow.line(), layout)));
                case RISING_DIAGONAL -> "Diagonal, rising";
                case FALLING_DIAGONAL -> "Diagonal, falling";
            };
            panels.add(new BowDrawing.Panel(
                    name, k.least(), k.most(), bow.tried() ? bend(k) : "not laid yet", bow.tried()));
        }
        return BowDrawing.svg(panels, full);
    }

    /** {@code hollow 0.02 to 0.03}, {@code up to 0.02 either way}. */
    private String bend(Range k) {
        if (Double.isInfinite(k.least()) && Double.isInfinite(k.most())) {
            return "anything yet";
        }
        if (k.least() >= 0) {
            return "hollow " + span(k.least(), k.most());
        }
        if (k.most() <= 0) {
            return "crowned " + span(-k.most(), -k.least());
        }
        String crown = bound(-k.least());
        String hollow = bound(k.most());
        return crown.equals(hollow) ? "within ±" + hollow : "crown " + crown + " to hollow " + hollow;
    }

    private String span(double least, double most) {
        if (Double.isInfinite(most)) {
            return writer.number(least) + " or more";
        }
        return least <= 0 ? "at most " + writer.number(most) : writer.number(least) + " to " + writer.number(most);
    }

    private String bound(double value) {
        return Double.isInfinite(value) ? "any" : writer.number(value);
    }

    List<FaceView.Row> rows() {
        List<FaceView.Row> rows = new ArrayList<>();
        rows.add(new FaceView.Row("Gap, proven", writer.number(result.gapProven()), "thickest blade that went in", ""));
        rows.add(new FaceView.Row(
                "Bow, possible",
                Double.isInfinite(result.gapPossible()) ? "—" : writer.number(result.gapPossible()),
                Double.isInfinite(result.gapPossible())
                        ? "nothing bounds it yet"
                        : "greatest under any edge, limit " + writer.number(limit.most()) + " "
                                + Words.of(limit.source().words()),
                style()));
        read.finding().sureness().ifPresent(s -> {
            rows.add(new FaceView.Row(
                    "Over somewhere",
                    Words.of(s.odds()),
                    Words.of(Odds.of(s.risk(), Integer.MAX_VALUE)) + " is allowed",
                    style()));
            rows.add(new FaceView.Row(
                    "To clean",
                    writer.number(s.toClean()),
                    "most likely; " + writer.number(s.toCleanMostly()) + " in 9 of 10",
                    ""));
        });
        result.shape().ifPresent(a -> {
            rows.add(row("Long bow", a.longBow(), "hollow", "crowned"));
            rows.add(row("Cross bow", a.crossBow(), "hollow", "crowned"));
            rows.add(row("Fourth corner", a.fourthCornerLift(), "one way", "the other way"));
            rows.add(new FaceView.Row(
                    "Zone",
                    Double.isInfinite(a.zone().most())
                            ? "—"
                            : writer.number(a.zone().most()),
                    Double.isInfinite(a.zone().most())
                            ? "nothing bounds it yet"
                            : "what may have to come off; at least "
                                    + writer.number(a.zone().least()),
                    ""));
        });
        return rows;
    }

    private String style() {
        return switch (result.verdict()) {
            case WITHIN -> "within";
            case OUT -> "out";
            case NOT_PROVEN -> "open";
        };
    }

    private FaceView.Row row(String name, Range range, String plus, String minus) {
        if (Double.isInfinite(range.least()) && Double.isInfinite(range.most())) {
            return new FaceView.Row(name, "—", "nothing bounds it yet", "");
        }
        String value = range.least() >= 0
                ? span(range.least(), range.most())
                : range.most() <= 0
                        ? span(-range.most(), -range.least())
                        : "−" + bound(-range.least()) + " to +" + bound(range.most());
        String note = range.least() > 0 ? plus : range.most() < 0 ? minus : "either way, or none";
        return new FaceView.Row(name, value, note, "");
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
