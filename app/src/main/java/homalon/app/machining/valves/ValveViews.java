package homalon.app.machining.valves;

import homalon.app.casting.part.Faces;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.Markup;
import homalon.app.foundation.drawing.ValveSign;
import homalon.app.foundation.web.WalkRows;
import homalon.app.foundation.web.Workings;
import homalon.app.foundation.words.Words;
import homalon.core.gauge.Uncertain;
import homalon.core.guides.Guide;
import homalon.core.part.Valve;
import homalon.core.part.ValveKind;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.quantity.Quantity;
import homalon.core.valves.Aspect;
import homalon.core.valves.Aspect.Subject;
import homalon.core.valves.Look;
import homalon.core.valves.Measure;
import homalon.core.valves.ValveFinding;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.visit.Figure;
import homalon.core.visit.ValveFile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.util.StringUtils;

/** Writes valves for the screen: the drawing, the table, the walk in hand. */
@Component
@RequiredArgsConstructor
class ValveViews {
    private static final List<Subject> COLUMNS = List.of(
            Subject.GUIDE,
            Subject.WIDTH,
            Subject.RUNOUT,
            Subject.PITS,
            Subject.HEIGHT,
            Subject.MARGIN,
            Subject.VACUUM,
            Subject.SPRING);

    private final Faces faces;

    ValveView of(ValveFile file, Measure.Walk walk, LengthWriter writer) {
        long out = file.valves().stream()
                .filter(v -> file.finding(v).verdict() == Verdict.OUT)
                .count();
        long open = file.valves().stream()
                .filter(v -> !file.finding(v).settled() && !file.signedFor(v))
                .count();
        long felt = file.valves().stream().filter(file::signedByFeel).count();
        long near = file.valves().stream().filter(file::signedFor).count() - felt;
        List<ValveView.WalkTab> tabs = tabs(file, walk);
        String words = out > 0
                ? out + " of " + file.valves().size() + " out"
                : open > 0 ? "Not proven yet" : answered(felt, near);
        String sentence = open > 0
                ? more(open, tooNear(file))
                : out > 0
                        ? "All are settled. What is out goes on to guides, inserts and seats."
                        : felt > 0
                                ? "Felt by hand and signed for is not measured: the report says so."
                                : near > 0
                                        ? "Too near a limit to tell and signed for is not proven: the report says so."
                                        : "Every guide and seat was read.";
        return new ValveView(
                signed(file, "valves", v -> style(file.finding(v)), v -> "").svg(),
                table(file, writer),
                walk(file, walk, writer),
                tabs,
                next(tabs),
                out > 0 ? "out" : open == 0 ? "within" : "open",
                words,
                sentence,
                last(file, walk).map(v -> List.of(said(file, v, writer))).orElse(List.of()),
                places(file, walk).stream().allMatch(p -> p.standing(file).isPresent()),
                file.sheet().revision());
    }

    private static long tooNear(ValveFile file) {
        return file.valves().stream()
                .filter(v -> file.mayBeSigned(v) && !file.readings(v).feltAlone())
                .count();
    }

    private static String more(long open, long near) {
        if (open == near) {
            return (near == 1 ? "One valve lies" : near + " valves lie")
                    + " too near a limit to tell: read again with finer gauges, or answer by name.";
        }
        return open + (open == 1 ? " valve needs" : " valves need")
                + " more: both ends of the guide, and a look at the seat.";
    }

    private static String answered(long felt, long near) {
        if (felt == 0 && near == 0) {
            return "All within";
        }
        return "Signed for, " + (felt > 0 ? felt + " by feel" : "") + (felt > 0 && near > 0 ? ", " : "")
                + (near > 0 ? near + " near a limit" : "");
    }

    /** One place of a walk. */
    record Place(Valve valve, Measure measure) {
        String key() {
            return ValveFile.place(valve.key(), measure);
        }

        /** As on the screen. */
        String words() {
            return valve.name() + ", " + Words.of(measure.words());
        }

        Optional<Figure> standing(ValveFile file) {
            return file.figure(valve, measure);
        }
    }

    static List<Place> places(ValveFile file, Measure.Walk walk) {
        List<Place> all = new ArrayList<>();
        for (Valve v : file.valves()) {
            walk.measures().forEach(m -> all.add(new Place(v, m)));
        }
        return all;
    }

    private static List<ValveView.WalkTab> tabs(ValveFile file, Measure.Walk here) {
        List<ValveView.WalkTab> tabs = new ArrayList<>();
        for (Measure.Walk w : Measure.Walk.values()) {
            List<Place> places = places(file, w);
            long done =
                    places.stream().filter(p -> p.standing(file).isPresent()).count();
            tabs.add(new ValveView.WalkTab(
                    w.name(),
                    Words.of(w.words()),
                    done == 0 ? "" : done == places.size() ? "\u2713" : done + "/" + places.size(),
                    w == here,
                    done == places.size()));
        }
        return tabs;
    }

    private static String next(List<ValveView.WalkTab> tabs) {
        boolean passed = false;
        for (ValveView.WalkTab t : tabs) {
            boolean optional = Measure.Walk.valueOf(t.name()).instead();
            if (passed && !t.done() && !optional) {
                return t.name();
            }
            passed |= t.current();
        }
        return "";
    }

    static String style(ValveFinding f) {
        return switch (f.verdict()) {
            case OUT -> "out";
            case WITHIN -> "within";
            case NOT_PROVEN -> f.begun() ? "begun" : "unread";
        };
    }

    /** Above the drawing of one guide or seat, px. */
    private static final double ABOVE_WIDTH = 840;

    private static final double ABOVE_HEIGHT = 220;

    /** The face above a drawing of one valve of it. */
    String above(ValveFile file, String id, Function<Valve, String> style, Function<Valve, String> href) {
        return signed(file, id, style, href)
                .fittedInto(ABOVE_WIDTH, ABOVE_HEIGHT)
                .svg();
    }

    /**
     * @param style of each valve's sign
     * @param href of each; empty where the page follows it by itself
     */
    private FaceDrawing signed(ValveFile file, String id, Function<Valve, String> style, Function<Valve, String> href) {
        List<ValveSign> signs = file.valves().stream()
                .map(v -> new ValveSign(
                        v.key(),
                        v.key(),
                        v.centre(),
                        v.diameter(),
                        v.kind() == ValveKind.EXHAUST,
                        style.apply(v),
                        v.name() + ": " + Words.of(file.finding(v).says()),
                        href.apply(v)))
                .toList();
        return FaceDrawing.of(
                        faces.layout(file.part().numbers()),
                        id,
                        "Valves of " + file.part().tag() + ": round signs are intakes, square ones exhausts")
                .valves(signs);
    }

    /** Every valve with its figures; sixteen rows of nine through the template engine would take longer than their verdicts. */
    private static String table(ValveFile file, LengthWriter writer) {
        Markup t = new Markup();
        t.open("thead").open("tr");
        t.open("th", "scope", "col").text("Valve").close("th");
        for (Subject s : COLUMNS) {
            String words = StringUtils.capitalize(Words.of(s.words()));
            t.open("th", "scope", "col", "class", "value").text(words).close("th");
        }
        t.open("th", "scope", "col", "class", "note").text("Finding").close("th");
        t.close("tr").close("thead").open("tbody");
        for (Valve v : file.valves()) {
            ValveFinding f = file.finding(v);
            t.open("tr", "class", style(f), "data-valve-row", v.key());
            t.open("th", "scope", "row").text(v.key()).close("th");
            COLUMNS.forEach(s -> cell(t, f.aspect(s), writer));
            t.open("td", "class", "note").text(Words.of(f.says())).close("td").close("tr");
        }
        return t.close("tbody").toString();
    }

    private static void cell(Markup t, Optional<Aspect> aspect, LengthWriter writer) {
        boolean out = aspect.filter(a -> a.is(Verdict.OUT)).isPresent();
        String figure = aspect.map(a -> figure(a, writer)).orElse("");
        t.open("td", "class", out ? "value bad" : "value").text(figure).close("td");
    }

    private static String figure(Aspect a, LengthWriter writer) {
        if (a.figure().isEmpty()) {
            return a.verdict()
                    .map(v -> v == Verdict.OUT ? "✗" : v == Verdict.WITHIN ? "✓" : "?")
                    .orElse("");
        }
        double figure = a.figure().get().value();
        String value = switch (a.subject()) {
            case VACUUM -> Quantity.VACUUM.number(figure, writer.unit());
            case FALL -> Long.toString(Math.round(figure));
            case HEIGHT, SPRING -> two(figure, writer);
            default -> writer.number(figure);
        };
        return value + (a.is(Verdict.OUT) ? " ✗" : a.is(Verdict.NOT_PROVEN) ? " ?" : "");
    }

    private static String plain(Aspect a, LengthWriter writer) {
        double limit = a.limit().orElseThrow();
        return switch (a.subject()) {
            case VACUUM -> Quantity.VACUUM.about(limit, writer.unit());
            case FALL -> Math.round(limit) + " s";
            default -> writer.number(limit);
        };
    }

    static String two(double mm, LengthWriter writer) {
        if (writer.unit() == BenchUnit.THOU && Math.abs(mm) >= 5) {
            return writer.size(Length.roundedFromMm(mm));
        }
        return writer.unit() == BenchUnit.MM
                ? String.format(Locale.ROOT, "%.2f", mm).replace('-', '\u2212')
                : writer.number(mm);
    }

    /** The valve that was keyed last in this walk. */
    private static Optional<Valve> last(ValveFile file, Measure.Walk walk) {
        return places(file, walk).stream()
                .filter(p -> p.standing(file).isPresent())
                .max(Comparator.comparingLong(
                        p -> p.standing(file).orElseThrow().seq()))
                .map(Place::valve);
    }

    static ValveView.Said said(ValveFile file, Valve v, LengthWriter writer) {
        ValveFinding f = file.finding(v);
        List<ValveView.Row> rows = new ArrayList<>();
        f.aspects().forEach(a -> rows.add(row(a, writer)));
        f.guide().ifPresent(g -> rows.addAll(guide(g, writer)));
        List<Working> workings =
                f.aspects().stream().flatMap(a -> a.working().stream()).toList();
        return new ValveView.Said(v.name(), rows, Workings.of(workings, writer));
    }

    private static ValveView.Row row(Aspect a, LengthWriter writer) {
        String limit = a.limit().isEmpty() || a.subject() == Subject.LOOKS
                ? ""
                : " · limit " + plain(a, writer) + ", " + Words.of(a.source());
        String style = a.verdict()
                .filter(x -> x != Verdict.NOT_PROVEN)
                .map(x -> x.name().toLowerCase(Locale.ROOT))
                .orElse("");
        return new ValveView.Row(
                StringUtils.capitalize(Words.of(a.subject().words())),
                a.figure().isEmpty() ? "" : figure(a, writer),
                Words.of(a.says()) + limit + open(a, writer),
                style);
    }

    /** What the gauges leave open of it, where that is something. */
    private static String open(Aspect a, LengthWriter writer) {
        double kept = a.figure().map(Uncertain::kept).orElse(0.0);
        return kept > 0 ? " · gauges leave ± " + writer.number(kept) + " open" : "";
    }

    private static List<ValveView.Row> guide(Guide g, LengthWriter writer) {
        String oval = g.ovalAcross() ? "wider across the rocker line" : "wider along the rocker line";
        return List.of(
                new ValveView.Row(
                        "Clearance at the least", writer.number(g.clearanceLeast()), "smallest bore, largest stem", ""),
                new ValveView.Row("Wear", writer.number(g.wear()), "largest less smallest bore", ""),
                mouth("Mouth at the top", g.bellMouthTop(), writer),
                mouth("Mouth at the bottom", g.bellMouthBottom(), writer),
                new ValveView.Row("Ovality", writer.number(g.ovality()), g.ovality() < 0.001 ? "" : oval, ""));
    }

    private static ValveView.Row mouth(String name, OptionalDouble value, LengthWriter writer) {
        return new ValveView.Row(
                name,
                value.isPresent() ? writer.signed(value.getAsDouble()) : "",
                value.isPresent() ? "end less middle" : "not read: needs this end and the middle",
                "");
    }

    private static String walk(ValveFile file, Measure.Walk walk, LengthWriter writer) {
        WalkRows list = new WalkRows();
        for (Place p : places(file, walk)) {
            Figure f = p.standing(file).orElse(null);
            boolean skipped = f != null && f.kind() == Figure.Kind.SKIPPED;
            WalkRows.Place place = new WalkRows.Place(
                    p.key(),
                    p.words(),
                    p.valve().key() + " " + Words.of(p.measure().words()),
                    "",
                    WalkRows.State.of(f != null, skipped),
                    f == null || skipped ? "" : written(p.measure(), f, writer),
                    f == null ? 0 : f.seq());
            String echo =
                    !p.measure().isLength() ? "none" : p.measure().unit() == Measure.Unit.SIZE ? "size" : "length";
            String unit = unit(p.measure(), writer);
            list.add(place, "valve", p.valve().key(), "unit-label", unit, "echo-as", echo);
        }
        return list.html();
    }

    private static String unit(Measure m, LengthWriter writer) {
        return switch (m.unit()) {
            case SIZE -> writer.unit() == BenchUnit.MM ? "mm" : "in";
            case SMALL, SIGNED -> writer.unit().label();
            case KPA -> Quantity.VACUUM.unit(writer.unit());
            case SECONDS -> "s";
            case FEEL -> "1–2";
            case DIGITS -> "1–9";
        };
    }

    static String written(Measure m, Figure f, LengthWriter writer) {
        return switch (m.unit()) {
            case SIZE ->
                f.value().map(ValveViews::size).map(s -> s.apply(writer)).orElse("");
            case SMALL -> f.value().map(writer::number).orElse("");
            case SIGNED -> f.value().map(writer::signed).orElse("");
            case KPA ->
                writer.unit() == BenchUnit.MM
                        ? f.typed()
                        : Quantity.VACUUM.number(Double.parseDouble(f.typed()), writer.unit());
            case SECONDS -> f.typed();
            case FEEL -> f.typed().startsWith("1") ? "no play to speak of" : "rocks";
            case DIGITS ->
                Look.read(f.typed()).stream().map(it -> Words.of(it.words())).collect(Collectors.joining(", "));
        };
    }

    /** A measured diameter keeps its thousandths. */
    private static Function<LengthWriter, String> size(Length length) {
        return writer -> writer.unit() == BenchUnit.MM
                ? writer.number(length)
                : writer.size(length).replace(" in", "");
    }
}
