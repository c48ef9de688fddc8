package homalon.app.check.feelers;

import homalon.app.casting.part.Faces;
import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.BowDrawing;
import homalon.app.foundation.drawing.EdgeMark;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.web.Workings;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerProposal;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Bow;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.FeelerWords;
import homalon.core.face.Gap;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.visit.Asked;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.visit.FeelerWay;
import homalon.core.visit.PartFile;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes a feeler survey for the screen and the report. */
@Component
@RequiredArgsConstructor
public class FeelerViews {
    private final Faces faces;
    private final FeelerFindings findings;

    public FeelerView of(PartFile part, FeelerFile survey, BenchUnit unit) {
        return new Writing(part, survey, unit).view();
    }

    /** One survey being written. */
    /** A blade that few sets have and every roll of shim stock gives, mm: half a thou. */
    private static final double THIN = 0.0127;

    private final class Writing {
        private final FeelerFile survey;
        private final LengthWriter writer;
        private final Layout layout;
        private final FlatnessLimit limit;
        private final FeelerResult result;

        Writing(PartFile part, FeelerFile survey, BenchUnit unit) {
            this.survey = survey;
            this.writer = new LengthWriter(unit);
            this.layout = faces.layout(part.numbers());
            this.limit = part.limits().stream()
                    .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                    .findFirst()
                    .orElseThrow();
            this.result = findings.of(part, survey);
        }

        FeelerView view() {
            FaceView.Headline headline = headline();
            FaceDrawing drawing = FaceDrawing.of(
                            layout, survey.kind().path(), headline.words() + ". " + headline.sentence())
                    .edges(edges(), Math.max(limit.most().mm(), 0.02));
            return new FeelerView(
                    survey,
                    drawing,
                    survey.begun() ? bows() : "",
                    headline,
                    survey.begun() ? FeelerWords.shape(result, layout).orElse("") : "",
                    result.next().map(this::next).orElse(""),
                    result.next().flatMap(this::place).map(PlaceFile::id).orElse(null),
                    result.odd().stream().map(this::odd).toList(),
                    survey.begun() ? rows() : List.of(),
                    walk(),
                    survey.begun() ? Workings.of(List.of(working()), writer) : Workings.NONE,
                    survey.complete(limit.most()));
        }

        private FaceView.Headline headline() {
            if (!survey.begun()) {
                return new FaceView.Headline(
                        "open", "Not measured yet", "Lay the edge on the first line and say how it rests.");
            }
            String limitWords = writer.full(limit.most()) + " " + limit.source().words();
            return switch (result.verdict()) {
                case WITHIN ->
                    new FaceView.Headline(
                            "within",
                            "Within " + writer.number(limit.most()),
                            (survey.limitKind() == FeelerSurvey.Kind.GAP
                                            ? "No more than " + writer.full(result.gapPossible())
                                                    + " can be under the edge anywhere, flat to "
                                                    + writer.number(zone().most()) + " at worst"
                                            : "Two planes " + writer.full(zone().most()) + " apart hold the face")
                                    + "; limit " + limitWords + ".");
                case OUT ->
                    new FaceView.Headline(
                            "out", out(), "Limit " + limitWords + ". Stop here: no other blade can bring it back.");
                case NOT_PROVEN ->
                    new FaceView.Headline(
                            "open",
                            "Not proven yet",
                            result.consistent() ? unproven(limitWords) : "The readings contradict each other.");
            };
        }

        private String unproven(String limitWords) {
            String most = Double.isInfinite(result.gapPossible())
                    ? "Nothing bounds the bow on every line yet"
                    : "Up to " + writer.full(result.gapPossible()) + " may still be there";
            String tries = result.triesAtBest().isPresent()
                    ? "; at best " + result.triesAtBest().getAsInt()
                            + (result.triesAtBest().getAsInt() == 1 ? " more try" : " more tries")
                    : "";
            return most + "; limit " + limitWords + tries + ".";
        }

        private String out() {
            if (result.gapProven() >= limit.most().mm() - 1e-9) {
                return "Out: a " + writer.number(result.gapProven()) + " blade went in";
            }
            double least = survey.limitKind() == FeelerSurvey.Kind.ZONE
                    ? zone().least()
                    : result.bows().stream()
                            .flatMap(b -> b.size().stream())
                            .mapToDouble(Range::least)
                            .max()
                            .orElse(0);
            return "Out: bent by " + writer.number(least) + " at the least";
        }

        private Range zone() {
            return result.shape().orElseThrow().zone();
        }

        private String bows() {
            double full = 1.6 * limit.most().mm();
            List<BowDrawing.Panel> panels = new ArrayList<>();
            for (Bow bow : result.bows()) {
                Range k = bow.quarterK().orElse(new Range(Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY));
                String name = switch (bow.line()) {
                    case LOWER_EDGE, UPPER_EDGE, CROSSWISE -> capital(FeelerWords.line(bow.line(), layout));
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

        private List<FaceView.Row> rows() {
            List<FaceView.Row> rows = new ArrayList<>();
            rows.add(new FaceView.Row(
                    "Gap, proven", writer.number(result.gapProven()), "thickest blade that went in", ""));
            rows.add(new FaceView.Row(
                    "Bow, possible",
                    Double.isInfinite(result.gapPossible()) ? "—" : writer.number(result.gapPossible()),
                    Double.isInfinite(result.gapPossible())
                            ? "nothing bounds it yet"
                            : "greatest under any edge, limit " + writer.number(limit.most()) + " "
                                    + limit.source().words(),
                    style()));
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

        private String next(Try next) {
            Optional<PlaceFile> place = place(next);
            String line = place.isPresent() ? lineOf(place.get()).name() : FeelerWords.line(next.judged(), layout);
            Length wanted = Length.roundedFromMm(next.blade());
            Length blade = place.map(p -> p.gap().refuses().isPresent()
                            ? thinner(p, wanted).orElse(wanted)
                            : survey.proving(lineOf(p), p, layout.box(), wanted))
                    .orElse(survey.blades().asThickAs(wanted));
            if (place.filter(p -> p.gap().refuses().isPresent()
                            && survey.complete(limit.most())
                            && thinner(p, wanted).isEmpty())
                    .isPresent()) {
                return "No blade of this set is thin enough to tell more: try a thinner one on the "
                        + line.toLowerCase(Locale.ROOT).replace("across,", "line across,")
                        + ", and key its thickness with + when it goes or - when it is refused, such as "
                        + writer.exact(Length.roundedFromMm(THIN)) + "-.";
            }
            String where = next.underBothEnds() ? "equal blades under both ends" : "in the middle";
            if (place.isEmpty()) {
                return "Lay the edge on the " + line + ", say how it rests, and try the " + writer.number(blade)
                        + " blade in the middle.";
            }
            return "Try the " + writer.number(blade) + " blade " + where + " of the "
                    + line.toLowerCase(Locale.ROOT).replace("across,", "line across,") + ".";
        }

        private LineFile lineOf(PlaceFile place) {
            return survey.lines().stream()
                    .filter(l -> l.places().contains(place))
                    .findFirst()
                    .orElseThrow();
        }

        private Optional<PlaceFile> place(Try next) {
            LineFile line = next.line().isPresent()
                    ? survey.lines().get(next.line().getAsInt())
                    : closest(next).orElse(null);
            if (line == null) {
                return Optional.empty();
            }
            Asked asked = next.underBothEnds() ? Asked.ENDS : Asked.STATION;
            return line.places().stream()
                    .filter(p -> p.asked() == asked)
                    .min(Comparator.comparingDouble(p -> Math.abs(p.at() - next.at())));
        }

        /** A laid line that runs as the judged one does, nearest to it. */
        private Optional<LineFile> closest(Try next) {
            return survey.lines().stream()
                    .filter(l -> off(l, next) < layout.box().height() * 0.3)
                    .min(Comparator.comparingDouble(l -> off(l, next)));
        }

        private double off(LineFile l, Try next) {
            return l.from().distance(next.from()) + l.to().distance(next.to());
        }

        private String odd(FeelerResult.Odd odd) {
            LineFile line = survey.lines().get(odd.line());
            OptionalInt station = odd.station();
            if (station.isEmpty()) {
                return line.name() + ": how the edge rests does not fit the rest, by " + writer.full(odd.by()) + ".";
            }
            PlaceFile place = line.stations().get(station.getAsInt());
            return line.name() + ", " + where(line, place) + ": " + writer.full(odd.by())
                    + " away from what the other places allow. Clean it and try again; if it stays, it is a local dip.";
        }

        private List<EdgeMark> edges() {
            List<EdgeMark> edges = new ArrayList<>();
            for (LineFile line : survey.lines()) {
                List<EdgeMark.GapMark> gaps = line.places().stream()
                        .filter(p -> p.asked() == Asked.STATION
                                || (p.asked() == Asked.SLID && p.gap().isTried()))
                        .map(p -> new EdgeMark.GapMark(
                                p.id().toString(),
                                p.at(),
                                p.gap().isTried(),
                                p.gap().goes().map(Length::mm).orElse(0.0),
                                p.gap().refuses().map(Length::mm).orElse(Double.POSITIVE_INFINITY),
                                p.gap()
                                        .goes()
                                        .filter(g -> g.compareTo(limit.most()) >= 0)
                                        .isPresent(),
                                line.name() + ", " + where(line, p) + ": " + words(p.gap())))
                        .toList();
                EdgeMark.Rest rest = switch (line.rest()) {
                    case ROCKS -> EdgeMark.Rest.ROCKS;
                    case SITS_STILL -> EdgeMark.Rest.SITS;
                    case NOT_NOTED -> EdgeMark.Rest.UNKNOWN;
                };
                UUID id = line.places().get(0).id();
                edges.add(new EdgeMark(
                        line.from(), line.to(), rest, id.toString(), gaps, line.name() + ": " + rest(line.rest())));
            }
            return edges;
        }

        private String words(Gap gap) {
            return gap.isTried() ? value(gap) : "not tried";
        }

        private String value(Gap gap) {
            if (gap.refuses().isEmpty()) {
                return gap.goes().map(g -> writer.number(g) + " or more").orElse("");
            }
            String most = writer.number(gap.refuses().get());
            return gap.goes().map(g -> writer.number(g) + " to " + most).orElse("under " + most);
        }

        private static String rest(Rest rest) {
            return switch (rest) {
                case ROCKS -> "rocks";
                case SITS_STILL -> "sits still";
                case NOT_NOTED -> "not noted";
            };
        }

        private String where(LineFile line, PlaceFile place) {
            var spot = line.spot(place);
            boolean crosswise = Math.abs(line.to().x() - line.from().x()) < 1;
            return crosswise ? PlaceNames.across(layout, spot) : PlaceNames.along(layout, spot);
        }

        /** A place where a thinner blade would tell more, though the one that was asked for has been tried there. */
        private record More(PlaceFile place, Length blade) {}

        /** Once every place is tried and the limit is still not proven: the hand goes where it narrows most. */
        private Optional<More> more() {
            if (result.verdict() != Verdict.NOT_PROVEN || !survey.complete(limit.most())) {
                return Optional.empty();
            }
            return result.next()
                    .flatMap(n -> place(n).filter(
                                    p -> !p.skipped() && p.gap().refuses().isPresent())
                            .flatMap(p ->
                                    thinner(p, Length.roundedFromMm(n.blade())).map(b -> new More(p, b))));
        }

        /** As thin as it must be to prove it, and thinner than what was refused there already. */
        private Optional<Length> thinner(PlaceFile place, Length bow) {
            Length wanted = survey.proving(lineOf(place), place, layout.box(), bow);
            Length refused = place.gap().refuses().orElseThrow();
            return (wanted.compareTo(refused) < 0
                            ? Optional.of(wanted)
                            : survey.blades().thinnerThan(refused))
                    .filter(b ->
                            place.gap().goes().filter(g -> g.compareTo(b) >= 0).isEmpty());
        }

        private List<FeelerView.Walk> walk() {
            List<FeelerView.Walk> walk = new ArrayList<>();
            Optional<More> more = more();
            for (LineFile line : survey.lines()) {
                List<Layout.Hole> under = FeelerProposal.dowels(layout, line.from(), line.to());
                String dowels = under.isEmpty()
                        ? ""
                        : "Pull the dowel at the "
                                + under.stream()
                                        .map(d -> PlaceNames.corner(layout, d.centre()))
                                        .collect(Collectors.joining(" and "))
                                + " first: the edge would ride on it.";
                for (PlaceFile p : line.asked()) {
                    boolean rest = p.asked() == Asked.REST;
                    String name = line.name() + " · "
                            + switch (p.asked()) {
                                case REST ->
                                    survey.way() == FeelerWay.LIMIT
                                            ? "how does it rest; slide the "
                                                    + writer.number(survey.along(line, layout.box(), limit.most()))
                                                    + " blade along"
                                            : "how does it rest";
                                case STATION -> where(line, p);
                                case ENDS -> "equal blades under both ends";
                                case SLID -> "where the blade was slid to";
                            };
                    Optional<Length> thinner =
                            more.filter(m -> m.place().equals(p)).map(More::blade);
                    boolean open = !survey.done(p, limit.most()) || thinner.isPresent();
                    Optional<Length> blade = rest || !open
                            ? Optional.empty()
                            : thinner.or(() ->
                                    p.gap().next(survey.blades(), survey.first(line, p, layout.box(), limit.most())));
                    walk.add(new FeelerView.Walk(
                            p.id(),
                            walk.size() + 1,
                            rest ? line.name() : "",
                            name,
                            open ? "open" : p.skipped() ? "skipped" : "read",
                            rest
                                    ? (p.rest() == Rest.NOT_NOTED ? "" : rest(p.rest()))
                                    : p.gap().isTried() ? value(p.gap()) : "",
                            blade.map(writer::exact).orElse(""),
                            blade.map(writer::number).orElse(""),
                            p.seen(),
                            rest,
                            rest ? dowels : ""));
                }
            }
            return walk;
        }

        private Working working() {
            Working.Builder w = Working.of("Straightedge and feelers")
                    .line("Under an edge on a smooth face z = e u² + f v² + d u v the gap is K t (1 − t), "
                            + "K = e du² + f dv² + d du dv, with u and v from −1 to 1 over the face")
                    .line("A blade that goes: K t (1 − t) is at least as much; one that refuses: at most. "
                            + "Rocks: K below 0; sits still: K / 4 above minus the thinnest blade")
                    .line(
                            "Thinnest blade of the set: {}",
                            survey.blades().thinnest().mm());
            int said =
                    survey.lines().stream().mapToInt(l -> l.stations().size()).sum();
            w.line("Places tried: " + said + "; all of them together are linear inequalities in e, f and d, and linear "
                    + "programmes give the least and the greatest that they allow");
            result.shape().ifPresent(a -> {
                bounds(w, "Long bow e", a.longBow());
                bounds(w, "Cross bow f", a.crossBow());
                bounds(w, "Fourth-corner lift 4 d", a.fourthCornerLift());
                bounds(w, "Zone, the range of e u² + f v² + d u v over the face", a.zone());
            });
            for (Bow b : result.bows()) {
                b.quarterK().ifPresent(k -> bounds(w, "K / 4 on the " + FeelerWords.line(b.line(), layout), k));
            }
            w.line(
                    "Limit {}, from: " + limit.source().words() + ", asked of "
                            + (survey.limitKind() == FeelerSurvey.Kind.GAP ? "the gap under the edge" : "the zone"),
                    limit.most().mm());
            if (Double.isFinite(result.gapPossible())) {
                w.line(
                        "Greatest bow that they allow under any edge from side to side, laid or not: {}",
                        result.gapPossible());
            }
            return w.line("Within needs an edge laid on all five lines and nothing unexplained; a local dip off every "
                            + "line stays unseen")
                    .done();
        }

        private void bounds(Working.Builder w, String name, Range range) {
            if (Double.isInfinite(range.least()) || Double.isInfinite(range.most())) {
                w.line(name + ": not bounded on both sides yet");
            } else {
                w.line(name + ": from {} to {}", range.least(), range.most());
            }
        }

        private static String capital(String words) {
            return Character.toUpperCase(words.charAt(0)) + words.substring(1);
        }
    }

    /** {@code within}, {@code out}, {@code not proven}: for the strip of steps. */
    public static String words(Verdict verdict) {
        return switch (verdict) {
            case WITHIN -> "within";
            case OUT -> "out";
            case NOT_PROVEN -> "not proven";
        };
    }
}
