package homalon.core.visit;

import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerResult.Try;
import homalon.core.face.Gap;
import homalon.core.gauge.Sag;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.ShopRules;
import homalon.core.rulebook.Source;
import homalon.core.visit.FeelerFile.LineFile;
import homalon.core.visit.FeelerFile.PlaceFile;
import homalon.core.words.Message;
import java.util.Comparator;
import java.util.Optional;

/**
 * One survey by straightedge and feelers while it is written, with what came of it.
 *
 * @param limit the overall one, of the gap or of the zone
 */
public record FeelerReading(
        FeelerFile survey,
        LengthWriter writer,
        Layout layout,
        FlatnessLimit limit,
        FeelerFinding finding,
        Optional<Edge> edge) {

    /**
     * An edge that hangs down under its own weight.
     *
     * @param height of its section, mm
     * @param longest line on which it was laid, mm
     * @param hangs in the middle of that, mm
     */
    public record Edge(double height, Source source, double longest, double hangs) {
        static Optional<Edge> of(ShopRules rules, FeelerFile survey) {
            Sag sag = survey.tools(rules).sag();
            double longest =
                    survey.lines().stream().mapToDouble(LineFile::length).max().orElse(0);
            return sag.equals(Sag.NONE)
                    ? Optional.empty()
                    : Optional.of(new Edge(
                            BenchFigure.EDGE_HEIGHT.value(rules.books()),
                            BenchFigure.EDGE_HEIGHT.source(rules.books()),
                            longest,
                            sag.at(0, longest, longest / 2)));
        }
    }

    public static FeelerReading of(
            PartFile part, FeelerFile survey, Layout layout, FeelerFinding finding, BenchUnit unit) {
        FlatnessLimit overall = part.limits().stream()
                .filter(l -> l.scope() == FlatnessLimit.Scope.OVERALL)
                .findFirst()
                .orElseThrow();
        return new FeelerReading(
                survey, new LengthWriter(unit), layout, overall, finding, Edge.of(part.rules(), survey));
    }

    public FeelerResult result() {
        return finding.result();
    }

    public LineFile lineOf(PlaceFile place) {
        return survey.lines().stream()
                .filter(l -> l.places().contains(place))
                .findFirst()
                .orElseThrow();
    }

    /** Where the one try that would tell most is to be made; empty where no line is laid for it. */
    public Optional<PlaceFile> place(Try next) {
        Optional<LineFile> line = next.line().isPresent()
                ? Optional.of(survey.lines().get(next.line().getAsInt()))
                : closest(next);
        Asked asked = next.underBothEnds() ? Asked.ENDS : Asked.STATION;
        return line.flatMap(l -> l.places().stream()
                .filter(p -> p.asked() == asked)
                .min(Comparator.comparingDouble(p -> Math.abs(p.at() - next.at()))));
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

    /** The gap between what went and what was refused. */
    public Message value(Gap gap) {
        if (gap.refuses().isEmpty()) {
            return gap.goes()
                    .map(g -> Message.of("visit.or-more", writer.number(g)))
                    .orElse(Message.NONE);
        }
        String most = writer.number(gap.refuses().get());
        return gap.goes()
                .map(g -> Message.of("visit.to", writer.number(g), most))
                .orElse(Message.of("visit.under", most));
    }

    public static Message rest(Rest rest) {
        return switch (rest) {
            case ROCKS -> Message.of("visit.rocks");
            case SITS_STILL -> Message.of("visit.sits-still");
            case NOT_NOTED -> Message.of("visit.not-noted");
        };
    }

    public String where(LineFile line, PlaceFile place) {
        return where(layout, line, place);
    }

    /** Where along its line a place lies, in words. */
    public static String where(Layout layout, LineFile line, PlaceFile place) {
        var spot = line.spot(place);
        boolean crosswise = Math.abs(line.to().x() - line.from().x()) < 1;
        return crosswise ? PlaceNames.across(layout, spot) : PlaceNames.along(layout, spot);
    }

    /** As thin as it must be to prove it, and thinner than what was refused there already. */
    public Optional<Length> thinner(PlaceFile place, Length bow) {
        Length wanted = survey.proving(lineOf(place), place, layout.box(), bow);
        Length refused = place.gap().refuses().orElseThrow();
        return (wanted.compareTo(refused) < 0
                        ? Optional.of(wanted)
                        : survey.blades().thinnerThan(refused))
                .filter(b -> place.gap().goes().filter(g -> g.compareTo(b) >= 0).isEmpty());
    }
}
