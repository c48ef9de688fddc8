package homalon.app.check.face;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Faces;
import homalon.app.foundation.drawing.Bands;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.PlaceMark;
import homalon.app.foundation.drawing.ProfileDrawing;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.app.shop.tools.Toolbox;
import homalon.core.cut.Comparison;
import homalon.core.cut.SetUp;
import homalon.core.cut.SetUpMethod;
import homalon.core.cut.Supports;
import homalon.core.cut.Tram;
import homalon.core.face.BowAndTwist;
import homalon.core.face.Causes;
import homalon.core.face.FaceJudge;
import homalon.core.face.FaceMap;
import homalon.core.face.LimitVerdict;
import homalon.core.gauge.Warmth;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.sure.Odds;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.FaceRule;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import homalon.core.words.Message;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes a survey for the screen and the report: the drawing, the verdict, the figures and their working. */
@Component
@RequiredArgsConstructor
public class FaceViews {
    private final Faces faces;
    private final Findings findings;
    private final ThicknessViews thickness;
    private final Ledgers ledgers;
    private final Toolbox toolbox;

    public FaceView of(PartFile part, SurveyFile survey, LengthWriter writer) {
        return of(part, survey, survey.kind().ofHeights() ? findings.of(part, survey) : Optional.empty(), writer);
    }

    /** What the readings say by themselves: the chance that it is out between them follows when it is known. */
    FaceView atOnce(PartFile part, SurveyFile survey, LengthWriter writer) {
        return of(
                part, survey, survey.kind().ofHeights() ? findings.byReadings(part, survey) : Optional.empty(), writer);
    }

    private FaceView of(PartFile part, SurveyFile survey, Optional<FaceFinding> finding, LengthWriter writer) {
        BenchUnit unit = writer.unit();
        Layout layout = faces.layout(part.numbers());
        // While places are still open the walk itself says where to go next.
        Optional<Spot> next = survey.complete() ? finding.flatMap(FaceViews::suggested) : Optional.empty();
        var map = finding.flatMap(FaceFinding::map);
        Optional<Bands> bands = map.map(m -> Bands.of(m.range(), finding.get().colourReach(), unit));
        FaceDrawing drawing = FaceDrawing.of(layout, survey.kind().path(), spoken(part, survey, finding));
        map.ifPresent(m -> drawing.map(m, bands.get()));
        finding.flatMap(FaceFinding::sureness).ifPresent(s -> drawing.unknown(s.unknown()));
        drawing.places(marks(survey, finding, unit));
        next.ifPresent(n -> drawing.places(
                List.of(new PlaceMark("suggested", n, PlaceMark.State.SUGGESTED, "", "Measure here next"))));
        boolean heights = survey.kind().ofHeights();
        List<FaceView.Row> rows = heights ? FaceRows.of(finding, layout, writer) : thickness.rows(part, survey, writer);
        return new FaceView(
                survey,
                drawing,
                map.map(m -> profile(m, survey, finding.get())),
                bands.map(b -> legend(b, writer)).orElse(List.of()),
                labels(survey, finding, unit),
                heights ? headline(finding, survey, writer) : thickness.headline(part, survey, writer),
                FaceRows.beside(survey, rows, layout, writer),
                finding.filter(f -> survey.kind() == SurveyKind.FACE)
                        .map(f -> setUps(part, f, layout, writer))
                        .orElse(List.of()),
                new WalkList(survey, writer),
                workings(finding, writer),
                finding.filter(f -> survey.complete())
                        .map(f -> causes(part, survey.kind(), f, writer))
                        .orElse(List.of()),
                next.isPresent(),
                next.map(Spot::x).orElse(0.0),
                next.map(Spot::y).orElse(0.0),
                next.map(n -> PlaceNames.name(layout, n)).orElse(""),
                finding.filter(f -> FaceViews.awaited(part, f)).isPresent(),
                finding.filter(f -> f.judgement().worst() != Verdict.NOT_PROVEN).isPresent());
    }

    /** Of the casting between its two sides, as it was keyed, else by its thickness; empty where that was not read. */
    String height(PartFile part, SurveyFile survey, LengthWriter writer) {
        return survey.with()
                .corrections()
                .warmth()
                .map(Warmth::height)
                .or(() -> thickness.mean(part))
                .map(writer::size)
                .orElse("");
    }

    /** The chance of being out that within leaves, in words; empty where none is asked about. */
    static String risk(PartFile part) {
        OptionalDouble risk = FaceRule.of(part).risk();
        return risk.isPresent() ? Words.of(Odds.of(risk.getAsDouble(), Integer.MAX_VALUE)) : "";
    }

    /** Only what the readings say by themselves is known yet. */
    private static boolean awaited(PartFile part, FaceFinding finding) {
        return finding.sureness().isEmpty() && FaceRule.of(part).risk().isPresent();
    }

    /**
     * The face at a glance: its land and its map, without places and figures.
     *
     * @param finding whose map is shown; empty for the bare face
     * @param name of the drawing, unlike any other on its page
     */
    public FaceDrawing glance(
            PartFile part, Optional<FaceFinding> finding, String name, String spoken, BenchUnit unit) {
        FaceDrawing drawing =
                FaceDrawing.of(faces.layout(part.numbers()), name, spoken).small();
        finding.ifPresent(f -> f.map().ifPresent(m -> drawing.map(m, Bands.of(m.range(), f.colourReach(), unit))));
        return drawing;
    }

    private static ProfileDrawing profile(FaceMap map, SurveyFile survey, FaceFinding finding) {
        return ProfileDrawing.of(map, map.level(), survey.kind().path() + "-along")
                .height(110)
                .span(finding.limit().mm())
                .edges()
                .numbered();
    }

    private static boolean[] sealing(FaceFinding finding) {
        boolean[] sealing = new boolean[finding.all().size()];
        for (int i = 0; i < sealing.length; i++) {
            sealing[i] = finding.all().get(i).sealing();
        }
        return sealing;
    }

    /** The four schools live beside the figures, before shims are rounded: what the page of set-ups then shows in full. */
    private List<FaceView.ToClean> setUps(PartFile part, FaceFinding finding, Layout layout, LengthWriter writer) {
        boolean[] sealing = sealing(finding);
        Supports footing = Supports.usual(layout.box(), RuleBook.shims(writer.unit()));
        Map<SetUpMethod, SetUp> known = finding
                .map()
                .map(m -> Comparison.setUps(
                        new Comparison.Question(finding.points(), sealing, m, thickness.plane(part), footing)))
                .orElse(List.of())
                .stream()
                .collect(Collectors.toMap(SetUp::school, s -> s));
        return Arrays.stream(SetUpMethod.values())
                .map(school -> new FaceView.ToClean(
                        school.brief(),
                        Optional.ofNullable(known.get(school))
                                .map(s -> writer.number(s.toClean()))
                                .orElse("—")))
                .toList();
    }

    private List<FaceView.Cause> causes(PartFile part, SurveyKind kind, FaceFinding finding, LengthWriter writer) {
        Layout layout = faces.layout(part.numbers());
        if (kind == SurveyKind.PROOF) {
            OptionalDouble cutter = cutter(part);
            Optional<Tram> tram = finding.tram(layout, cutter);
            if (tram.isPresent()) {
                return List.of(written(tram.get().cause(cutter), writer));
            }
        }
        String story = part.name() + ". " + part.visit().history() + ". "
                + part.visit().wishes();
        Stream<Causes.Cause> spokenFor = finding.sureness().stream().flatMap(known -> known.causes().stream());
        Stream<Causes.Cause> told = Causes.of(
                new Causes.Seen(finding.judgement().flatness(), finding.lowBetweenBores(layout), story, part.kind()))
                .stream();
        return Stream.concat(spokenFor, told).map(c -> written(c, writer)).toList();
    }

    private static FaceView.Cause written(Causes.Cause cause, LengthWriter writer) {
        return new FaceView.Cause(Words.of(cause.words(), writer), Words.of(cause.from(), writer));
    }

    /** What the last pass of the visit was cut with, over its edges; empty where it was not noted. */
    private OptionalDouble cutter(PartFile part) {
        return ledgers.of(part).passes(part.visit().id()).stream()
                .reduce((before, last) -> last)
                .flatMap(last -> toolbox.cutter(last.cutter()))
                .map(c -> OptionalDouble.of(c.diameter()))
                .orElse(OptionalDouble.empty());
    }

    /**
     * Figures of any finding, written.
     *
     * @param bands of its map; empty without one
     */
    public record Figures(
            FaceView.Headline headline,
            List<FaceView.Row> rows,
            Workings workings,
            Optional<Bands> bands,
            List<FaceView.Legend> legend) {}

    public static Figures figures(FaceFinding finding, Layout layout, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        Optional<Bands> bands = finding.map().map(m -> Bands.of(m.range(), finding.colourReach(), unit));
        return new Figures(
                headline(finding, writer),
                FaceRows.of(Optional.of(finding), layout, writer),
                workings(Optional.of(finding), writer),
                bands,
                bands.map(b -> legend(b, writer)).orElse(List.of()));
    }

    /** Once it is out, no further place changes that. */
    private static Optional<Spot> suggested(FaceFinding finding) {
        if (finding.judgement().worst() == Verdict.OUT) {
            return Optional.empty();
        }
        return finding.judgement().limits().stream()
                .filter(l -> l.verdict() == Verdict.NOT_PROVEN)
                .map(LimitVerdict::next)
                .flatMap(Optional::stream)
                .findFirst();
    }

    private static String spoken(PartFile part, SurveyFile survey, Optional<FaceFinding> finding) {
        return "Face of " + part.tag() + ", front at the left, " + survey.read() + " of "
                + survey.places().size() + " places read. "
                + finding.map(it -> Words.of(it.shape())).orElse("No map yet.");
    }

    /** Figures on the drawing: departures from the middle plane once there is one, what was read before that. */
    private static List<PlaceMark> marks(SurveyFile survey, Optional<FaceFinding> finding, BenchUnit unit) {
        LengthWriter writer = new LengthWriter(unit);
        List<PlaceMark> marks = new ArrayList<>();
        Plane level = finding.map(f -> f.judgement().flatness().minimumZone().middle())
                .orElse(Plane.LEVEL);
        for (SurveyFile.PlaceFile p : survey.places()) {
            String label = "";
            PlaceMark.State state = PlaceMark.State.OPEN;
            if (p.isRead()) {
                double mm = survey.corrected(p).mm()
                        - level.at(p.spot().x(), p.spot().y());
                label = finding.isPresent() ? fine(mm, unit) : writer.signed(p.value());
                state = p.sealing() ? PlaceMark.State.READ : PlaceMark.State.NOT_SEALING;
            } else if (p.isSkipped()) {
                state = PlaceMark.State.SKIPPED;
            }
            marks.add(new PlaceMark(p.id().toString(), p.spot(), state, label, p.name()));
        }
        return marks;
    }

    /** In the unit of the table beside it, as short as a place has room for: {@code +.031} mm, {@code +1.2} thou. */
    private static String fine(double mm, BenchUnit unit) {
        if (unit == BenchUnit.MM) {
            long um = Math.round(mm * 1000);
            return um == 0
                    ? "0"
                    : (um > 0 ? "+" : "\u2212")
                            + BigDecimal.valueOf(Math.abs(um), 3)
                                    .toPlainString()
                                    .replaceFirst("^0", "");
        }
        double thou = Math.rint(mm / 0.0254 * 10) / 10;
        return thou == 0 ? "0" : (thou > 0 ? "+" : "\u2212") + Math.abs(thou);
    }

    private static String labels(SurveyFile survey, Optional<FaceFinding> finding, BenchUnit unit) {
        if (finding.isEmpty()) {
            return "figures as read, in " + unit.label();
        }
        return "figures in " + unit.label()
                + " from the middle plane · bores, bolt and water holes are cut out"
                + (finding.get().sureness().filter(s -> !s.unknown().isEmpty()).isPresent()
                        ? " · pale and dotted: little is known there"
                        : "")
                + (survey.places().stream().anyMatch(p -> !p.sealing()) ? " · hollow crosses do not count" : "");
    }

    /** The map's colours and where each begins, lowest first. */
    public static List<FaceView.Legend> legend(Bands bands, LengthWriter writer) {
        List<FaceView.Legend> legend = new ArrayList<>();
        for (int band = bands.lowest(); band <= bands.highest(); band++) {
            legend.add(new FaceView.Legend(Bands.style(band), writer.signed(band * bands.step()), band <= -3));
        }
        return legend;
    }

    private static FaceView.Headline headline(Optional<FaceFinding> finding, SurveyFile survey, LengthWriter writer) {
        if (finding.isEmpty()) {
            int read = survey.read();
            String sentence = read < 4
                    ? "Flatness needs four places that are not on one line; " + (4 - read) + " more to key."
                    : "These places lie on one line, or do not seal: key one to the side of them.";
            return new FaceView.Headline("open", "Not measured yet", sentence);
        }
        FaceView.Headline said = headline(finding.get(), writer);
        List<String> marks = ReadWithView.marks(survey.with(), writer);
        return marks.isEmpty()
                ? said
                : new FaceView.Headline(said.style(), said.words(), said.sentence() + " " + String.join(" ", marks));
    }

    private static FaceView.Headline headline(FaceFinding finding, LengthWriter writer) {
        FaceJudge.Judgement judged = finding.judgement();
        String shape = Words.of(finding.shape());
        return switch (judged.worst()) {
            case OUT -> new FaceView.Headline("out", "Out by " + writer.full(over(judged)), shape);
            case WITHIN ->
                new FaceView.Headline(
                        "within",
                        "Within",
                        finding.sureness()
                                        .map(s -> "That it is out between the places: "
                                                + Words.of(Odds.of(s.any(), s.drawn())) + ". ")
                                        .orElse("")
                                + shape);
            case NOT_PROVEN ->
                new FaceView.Headline(
                        "open",
                        "Not proven yet",
                        judged.limits().stream()
                                        .filter(l -> l.verdict() == Verdict.NOT_PROVEN)
                                        .map(it -> Words.of(it.why()))
                                        .findFirst()
                                        .orElse("")
                                + " " + shape);
        };
    }

    private static double over(FaceJudge.Judgement judged) {
        return judged.limits().stream()
                .filter(l -> l.verdict() == Verdict.OUT)
                .mapToDouble(l -> l.over().orElse(0))
                .max()
                .orElse(0);
    }

    private static Workings workings(Optional<FaceFinding> finding, LengthWriter writer) {
        if (finding.isEmpty()) {
            return Workings.NONE;
        }
        List<Working> all = new ArrayList<>();
        finding.get().judgement().limits().forEach(l -> all.add(l.working()));
        all.add(bendWorking(finding.get()));
        return Workings.of(all, writer);
    }

    private static Working bendWorking(FaceFinding finding) {
        Points points = finding.points();
        BowAndTwist bend = finding.judgement().flatness().bend();
        Working.Builder working = Working.of(Message.of("app.face.bow-and-twist"))
                .line(Message.of("app.face.least-squares-through-the-sealing"));
        bend.longBow().ifPresent(e -> working.line(Message.of("app.face.long-bow-e-hollow-crowned"), e));
        bend.crossBow().ifPresent(f -> working.line(Message.of("app.face.cross-bow-f"), f));
        bend.fourthCornerLift()
                .ifPresent(d -> working.line(Message.of("app.face.fourth-corner-lift-4-d-with-three"), d));
        if (!bend.determined()) {
            working.line(Message.of("app.face.left-open-by-these-places-held-at-none", bend.open()));
        }
        working.line(
                Message.of("app.face.is-what-one-readings-uncertainty-of"),
                finding.judgement().uncertainty());
        working.line(Message.of("app.face.what-the-fit-leaves-lowest-to-highest"), bend.local())
                .line(Message.of("app.face.shape-the-largest-of-e-f-2-d-and-the", points.size()));
        return working.done();
    }
}
