package homalon.app.outcome.calc;

import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerResult;
import homalon.core.face.FeelerSurvey;
import homalon.core.face.Feelers;
import homalon.core.geometry.Box;
import homalon.core.geometry.Range;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** The call {@code feelers}. */
final class FeelersCall {
    private FeelersCall() {}

    @Schema(name = "FeelersRequest")
    record Request(
            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "[x0, y0, x1, y1] of the face, mm",
                    example = "[0,0,412,150]")
            double[] box,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "mm", example = "0.05")
            Double limit,

            @Schema(description = "what the limit means: the gap under the edge (default), or the zone")
            FeelerSurvey.Kind limitKind,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "thinnest blade of the set, mm",
                    example = "0.02")
            Double thinnest,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED)
            List<Line> lines,

            @Schema(description = "left out: nothing is said of what lies between the edges")
            FeelersModel.@Nullable Settings model) {}

    @Schema(name = "FeelerLine", description = "one laid straightedge")
    record Line(
            @Schema(description = "[x, y], mm") double[] from,

            @Schema(description = "[x, y], mm") double[] to,

            @Schema(description = "true: it rocks on a crown; false: it sits still; left out: not noted")
            Boolean rocks,

            @Schema(description = "equal blades under both ends of an edge that rocks")
            Blades endBlades,

            List<At> stations) {}

    @Schema(name = "FeelerStation", description = "with neither blade given the thinnest one was refused")
    record At(
            @Schema(description = "from 0 to 1 along the line")
            Double at,

            Double goes,
            Double refuses) {}

    @Schema(name = "Blades", description = "thickest that goes, thinnest that refuses, mm")
    record Blades(Double goes, Double refuses) {}

    @Schema(name = "Bounds", description = "null where nothing bounds it")
    record Bounds(Double least, Double greatest) {
        static Bounds of(Range range) {
            return new Bounds(finite(range.least()), finite(range.most()));
        }
    }

    @Schema(name = "TryNext", description = "the one blade and place that would narrow the verdict most")
    record Next(
            @Schema(description = "index of the line; null when it was not laid yet")
            Integer line,

            double[] from,
            double[] to,

            @Schema(description = "along the line; 0 for equal blades under both ends")
            double at,

            double blade) {}

    @Schema(name = "StandsOut", description = "a reading that no smooth bow and twist explains")
    record Odd(
            int line,

            @Schema(description = "null for whether the edge rocks")
            Integer station,

            double by) {}

    @Schema(name = "FeelersAnswer")
    record Answer(
            String verdict,

            @Schema(description = "thickest blade that went in at a station, 0 if none")
            double gapProven,

            @Schema(description = "greatest bow allowed under any chord of the face; null when nothing bounds it")
            Double gapPossible,

            boolean consistent,
            Bounds longBow,
            Bounds crossBow,
            Bounds fourthCornerLift,
            Bounds zone,
            List<Odd> standsOut,
            Next tryNext,

            @Schema(description = "tries left if every one is good; null when it cannot be brought within")
            Integer triesAtBest,

            @Schema(description = "what lies between the edges; null where model was left out, or nothing was tried")
            FeelersModel.@Nullable Answer model) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        double[] b = request.box();
        boolean boxFits =
                b != null && b.length == 4 && Arrays.stream(b).allMatch(Double::isFinite) && b[2] > b[0] && b[3] > b[1];
        problems.require(boxFits, "box", "app.calc.box-is-required-x0-y0-x1-y1-with-x1-x0");
        problems.require(request.limit() != null, "limit", "app.calc.limit-is-required-such-as-0-05");
        problems.require(request.thinnest() != null, "thinnest", "app.calc.thinnest-is-required-such-as-0-02");
        problems.require(request.lines() != null, "lines", "app.calc.lines-is-required-one-for-every-laid");
        List<FeelerLine> lines = new ArrayList<>();
        List<Line> given = request.lines() == null ? List.of() : request.lines();
        for (int i = 0; i < given.size(); i++) {
            read(given.get(i), "lines[" + i + "]", problems).ifPresent(lines::add);
        }
        FeelersModel.check(problems, request);
        problems.throwIfAny();
        FeelerSurvey.Kind kind = request.limitKind() == null ? FeelerSurvey.Kind.GAP : request.limitKind();
        FeelerSurvey survey =
                new FeelerSurvey(new Box(b[0], b[1], b[2], b[3]), request.thinnest(), lines, request.limit(), kind);
        return answer(Feelers.judge(survey), FeelersModel.answer(survey, request));
    }

    private static Optional<FeelerLine> read(Line line, String name, Problems problems) {
        boolean ends = line != null && pair(line.from()) && pair(line.to());
        problems.require(ends, name, "app.calc.must-have-from-and-to-each-x-y-in-mm", name);
        boolean placed = line != null
                && (line.stations() == null || line.stations().stream().allMatch(s -> s != null && s.at() != null));
        problems.require(placed, name + ".stations", "app.calc.stations-each-must-have-at-from-0-to-1", name);
        if (!ends || !placed) {
            return Optional.empty();
        }
        Rest rest = line.rocks() == null ? Rest.NOT_NOTED : line.rocks() ? Rest.ROCKS : Rest.SITS_STILL;
        Tried under = line.endBlades() == null
                ? Tried.NOTHING
                : new Tried(
                        number(line.endBlades().goes()), number(line.endBlades().refuses()));
        List<Station> stations = line.stations() == null
                ? List.of()
                : line.stations().stream()
                        .map(s -> new Station(s.at(), new Tried(number(s.goes()), number(s.refuses()))))
                        .toList();
        return Optional.of(new FeelerLine(
                new Spot(line.from()[0], line.from()[1]), new Spot(line.to()[0], line.to()[1]), rest, under, stations));
    }

    private static boolean pair(double[] xy) {
        return xy != null && xy.length == 2;
    }

    private static OptionalDouble number(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Answer answer(FeelerResult r, FeelersModel.@Nullable Answer model) {
        return new Answer(
                r.verdict().name(),
                r.gapProven(),
                finite(r.gapPossible()),
                r.consistent(),
                bounds(r, FeelerResult.Allowed::longBow),
                bounds(r, FeelerResult.Allowed::crossBow),
                bounds(r, FeelerResult.Allowed::fourthCornerLift),
                bounds(r, FeelerResult.Allowed::zone),
                r.odd().stream()
                        .map(o -> new Odd(
                                o.line(), o.station().isPresent() ? o.station().getAsInt() : null, o.by()))
                        .toList(),
                r.next().map(FeelersCall::next).orElse(null),
                r.triesAtBest().isPresent() ? r.triesAtBest().getAsInt() : null,
                model);
    }

    private static Bounds bounds(FeelerResult r, Function<FeelerResult.Allowed, Range> which) {
        return r.shape().map(which).map(Bounds::of).orElse(new Bounds(null, null));
    }

    static Next next(FeelerResult.Try t) {
        return new Next(
                t.line().isPresent() ? t.line().getAsInt() : null,
                new double[] {t.from().x(), t.from().y()},
                new double[] {t.to().x(), t.to().y()},
                t.at(),
                t.blade());
    }

    private static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
