package homalon.app.check.lines;

import homalon.app.check.face.Findings;
import homalon.app.check.face.Surveys;
import homalon.app.check.lines.SheetView.Picture;
import homalon.app.check.lines.SheetView.Row;
import homalon.app.foundation.drawing.ShaftDrawing;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.app.shop.instruments.StepGauges;
import homalon.core.lines.BentLine;
import homalon.core.lines.LineBore;
import homalon.core.lines.ShaftLine;
import homalon.core.lines.ShaftLine.Turns;
import homalon.core.part.PartKind;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BenchGauges;
import homalon.core.rulebook.BookDefaults;
import homalon.core.verdict.Working;
import homalon.core.visit.LineFinding;
import homalon.core.visit.LineSetup;
import homalon.core.visit.PartFile;
import homalon.core.visit.SheetFile;
import homalon.core.visit.SurveyKind;
import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes the line of a shaft: what is left, bow and snake, and what it says together with the face. */
@Component
@RequiredArgsConstructor
class LineViews {
    private final Surveys surveys;
    private final Findings findings;
    private final StepGauges gauges;

    /** @param toKey how many places are left, in words */
    SheetSaid of(PartFile part, SheetFile sheet, String toKey, LengthWriter writer) {
        List<LineSetup> shafts = LineSetup.all(sheet);
        boolean several = shafts.size() > 1;
        BenchGauges bench = gauges.of(part, sheet).gauges();
        List<One> read = shafts.stream()
                .flatMap(l -> LineFinding.of(sheet, l, bench).map(f -> new One(l, f)).stream())
                .sorted(Comparator.comparing(
                        o -> Turns.WORST_FIRST.indexOf(o.finding().verdict())))
                .toList();
        List<String> open = shafts.stream()
                .filter(l -> read.stream().noneMatch(o -> o.setup().equals(l)))
                .map(LineSetup::name)
                .toList();
        if (read.isEmpty()) {
            return new SheetSaid(
                    "open", "Not settled yet", toKey, List.of(), List.of(), List.of(), List.of(), Workings.NONE);
        }
        One worst = read.get(0);
        boolean settled = open.isEmpty() || worst.finding().verdict() == Turns.BINDS;
        Turns verdict = worst.finding().verdict();
        String words = words(worst.finding(), writer);
        // As the shafts lie, not the worst first.
        List<One> laid = read.stream()
                .sorted(Comparator.comparing(o -> shafts.indexOf(o.setup())))
                .toList();
        return new SheetSaid(
                settled ? style(verdict) : "open",
                !settled ? "Not settled yet" : several ? worst.setup().name() + ": " + lower(words) : words,
                settled
                        ? sentence(part, worst.finding(), worst.setup().blade().isPresent(), writer)
                        : String.join(", ", open) + ": " + toKey,
                laid.stream().flatMap(o -> pictures(part, o, several, writer)).toList(),
                laid.stream()
                        .flatMap(o -> rows(o, part.rules().books(), several, writer).stream())
                        .toList(),
                List.of(),
                List.of(),
                Workings.of(laid.stream().map(o -> working(o, several)).toList(), writer));
    }

    private Stream<Picture> pictures(PartFile part, One one, boolean several, LengthWriter writer) {
        Optional<Picture> bent = bent(part, one.finding()).map(b -> together(one, b, several, writer));
        return Stream.concat(Stream.of(picture(one, writer)), bent.stream());
    }

    /** Each shaft in a few words, for paper. */
    static List<String> each(SheetFile sheet, BenchGauges gauges, LengthWriter writer) {
        return LineSetup.all(sheet).stream()
                .map(l -> l.name() + ": "
                        + LineFinding.of(sheet, l, gauges)
                                .map(f -> lower(words(f, writer)))
                                .orElse("not read to its end"))
                .toList();
    }

    /** Blades to name in an example: thicker and thinner than most limits. */
    private static final Length THICKER = Length.ofMm("0.1");

    private static final Length THINNER = Length.ofMm("0.02");

    private record One(LineSetup setup, LineFinding finding) {}

    private static String lower(String words) {
        return words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }

    private static String style(Turns verdict) {
        return switch (verdict) {
            case FREE -> "within";
            case BINDS, TIGHT -> "out";
            case NOT_PROVEN -> "open";
        };
    }

    private static String words(LineFinding f, LengthWriter writer) {
        if (byBlade(f)) {
            return "Stop: out at " + boresOf(f.stopped());
        }
        return switch (f.verdict()) {
            case FREE ->
                f.span()
                        .map(b -> "Free: at least " + writer.full(b.least()) + " left")
                        .orElse("Free");
            case TIGHT -> "Tight";
            case BINDS ->
                f.span()
                        .map(b -> "Binds by at least " + writer.full(Math.abs(b.most())))
                        .orElseGet(() ->
                                "Binds by " + writer.full(Math.abs(f.shaft().clearanceLeft())));
            case NOT_PROVEN -> "Not proven yet";
        };
    }

    /** Out by the limit blade alone: the figures leave it open. */
    private static boolean byBlade(LineFinding f) {
        return f.verdict() == Turns.TIGHT
                && f.span().filter(b -> b.verdict() == Turns.NOT_PROVEN).isPresent();
    }

    private static String boresOf(List<Integer> bores) {
        return (bores.size() == 1 ? "bore " : "bores ")
                + bores.stream().map(String::valueOf).collect(Collectors.joining(", "));
    }

    /** What feelers prove is said, not the middle of what they allow. */
    private static String sentence(PartFile part, LineFinding f, boolean limitBlade, LengthWriter writer) {
        ShaftLine s = f.shaft();
        if (byBlade(f)) {
            return "The limit blade goes at " + boresOf(f.stopped())
                    + ": that is not passed. No more blades are needed for that. Whether a straight shaft would still run "
                    + "shows when a thicker one is refused there: key it with its sign, such as "
                    + writer.exact(THICKER) + "-. " + remedies(part, s, writer);
        }
        return switch (f.verdict()) {
            case FREE ->
                "A straight shaft turns in all bores with "
                        + f.span()
                                .map(b -> "at least " + writer.full(b.least()))
                                .orElse(writer.full(s.clearanceLeft()))
                        + " left.";
            case TIGHT ->
                "A straight shaft goes in, but with less than it needs to run: that is not passed. "
                        + remedies(part, s, writer);
            case BINDS -> "No straight shaft fits: " + inTheWay(s) + ". " + remedies(part, s, writer);
            case NOT_PROVEN ->
                f.left().isPresent()
                        ? "What is left lies too near what it needs for the gauges in hand: read bore "
                                + (s.worst() + 1) + " again, with a finer indicator and bore gauge."
                        : "The feelers leave it open: try thinner steps of blades at bore " + (s.worst() + 1) + " first"
                                + (limitBlade
                                        ? ", each keyed with its sign, such as " + writer.exact(THINNER) + "-."
                                        : ".");
        };
    }

    /** In rising cost, each followed by the line read again. */
    private static String remedies(PartFile part, ShaftLine s, LengthWriter writer) {
        LineBore bore = LineBore.of(s.zone());
        String moved = part.kind() == PartKind.HEAD
                ? "nearer to the face: chain slack and cam timing as for a cut of as much"
                : "nearer to the deck: the pistons rise by as much";
        return "Check caps, their order and direction first. Then straighten; or cut the caps by "
                + writer.full(bore.caps()) + " and line-bore to size, which brings the centre line "
                + writer.number(bore.least()) + " to " + writer.full(bore.most()) + " " + moved
                + "; or replace it. Read the line again after.";
    }

    private static List<Row> rows(One one, BookDefaults shop, boolean several, LengthWriter writer) {
        LineFinding f = one.finding();
        ShaftLine s = f.shaft();
        Length running = one.setup().running();
        String from = Stream.of(BenchFigure.RUNNING_CAM, BenchFigure.RUNNING_MAIN)
                .filter(b -> running.equals(Length.roundedFromMm(b.value(shop))))
                .findFirst()
                .map(b -> Words.of(b.source(shop).words()))
                .orElse("as keyed here");
        String worst = writer.full(s.left().get(s.worst())) + " left there";
        List<Row> rows = new ArrayList<>();
        if (several) {
            rows.add(new Row(one.setup().name(), "", words(f, writer), ""));
        }
        rows.add(clearance(f, writer));
        rows.add(new Row("Least to run", writer.number(running), from, ""));
        rows.add(new Row("Bow", writer.number(Math.abs(s.bow())), bow(f), ""));
        rows.add(new Row("Straightness", writer.number(s.zone()), "of the heights", ""));
        rows.add(new Row(
                "Wander", Integer.toString(s.snakes()), s.snakes() == 0 ? "no change of side" : "changes of side", ""));
        rows.add(new Row("Worst bore", Integer.toString(s.worst() + 1), worst, ""));
        f.askew()
                .forEach((bore, by) -> rows.add(new Row(
                        "Bore " + bore,
                        writer.number(by),
                        "or more lower on one side than on the other: dirt, a burr, or a cap that stands askew",
                        "")));
        return rows;
    }

    private static Row clearance(LineFinding f, LengthWriter writer) {
        return f.span()
                .map(b -> new Row(
                        "Clearance left",
                        "",
                        (Double.isInfinite(b.least())
                                        ? "at most " + writer.number(b.most())
                                        : "between " + writer.number(b.least()) + " and " + writer.number(b.most()))
                                + ", by feelers",
                        ""))
                .orElseGet(() -> new Row(
                        "Clearance left",
                        writer.number(f.shaft().clearanceLeft()),
                        "on the diameter, best line"
                                + f.left()
                                        .filter(l -> l.kept() > 0)
                                        .map(l -> " · gauges leave ± " + writer.number(l.kept()) + " open")
                                        .orElse(""),
                        ""));
    }

    private static String bow(LineFinding f) {
        double bow = f.shaft().bow();
        String side = bow > 0 ? "middle high" : bow < 0 ? "middle low" : "none";
        boolean straight = ShaftLine.straight(bow, f.bores());
        return side + (straight ? "" : ": more than half the clearance, so it is not straight");
    }

    private static Picture picture(One one, LengthWriter writer) {
        ShaftLine s = one.finding().shaft();
        List<String> left = s.left().stream().map(writer::number).toList();
        return new Picture(
                one.setup().name() + " from the side",
                "heights enlarged " + ShaftDrawing.enlarged(s, one.finding().bores())
                        + " times · gates as wide as each clearance · line: where a straight shaft would lie",
                ShaftDrawing.svg(
                        s,
                        one.finding().bores(),
                        left,
                        one.setup().name() + ", " + words(one.finding(), writer) + ". Left at each bore: "
                                + String.join(", ", left)));
    }

    private static Working working(One one, boolean several) {
        LineFinding f = one.finding();
        ShaftLine s = f.shaft();
        List<ShaftLine.Bore> bores = f.bores();
        Message title = several
                ? Message.of("app.lines.clearance-left", one.setup().name())
                : Message.of("app.lines.clearance-left-of-the-one-shaft");
        return Working.of(title)
                .line(Message.of(
                        "app.lines.a-straight-shaft-fits-when-a-line",
                        one.setup().sideways() ? Message.of("app.lines.up-and-sideways-together-dy-dz") : Message.NONE))
                .line(
                        Message.of("app.lines.best-line-at-the-first-bore-rising-over"),
                        s.line().heightAt(bores.get(0).at()),
                        s.line().rise()
                                * (bores.get(bores.size() - 1).at()
                                        - bores.get(0).at()))
                .line(
                        Message.of("app.lines.least-left-at-bore", s.worst() + 1),
                        s.left().get(s.worst()))
                .done();
    }

    private static Picture together(One one, BentLine b, boolean several, LengthWriter writer) {
        String figures = " Middle against the ends, + high: face " + writer.signed(Length.roundedFromMm(b.faceBow()))
                + ", line " + writer.signed(Length.roundedFromMm(b.lineBow())) + ".";
        return new Picture(
                several ? one.setup().name() + " together with the face" : "Together with the face",
                Words.of(b.words()) + figures,
                "");
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
                        line.verdict(),
                        ShaftLine.straight(line.shaft().bow(), line.bores())));
    }
}
