package homalon.app.outcome.calc;

import com.fasterxml.jackson.annotation.JsonInclude;
import homalon.core.face.BoreFlatness;
import homalon.core.face.Cover;
import homalon.core.face.Flatness;
import homalon.core.face.FlatnessResult;
import homalon.core.face.FlatnessSettings;
import homalon.core.face.WindowFlatness;
import homalon.core.geometry.Box;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.rulebook.RuleBook;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/** The call {@code flatness}: what comes in, what goes out, and the way between them. */
final class FlatnessCall {
    private FlatnessCall() {}

    /**
     * @param points required
     * @param box [x0, y0, x1, y1] over which bow and twist are expressed; else the points' bounding box
     * @param limit overall flatness limit
     * @param window side of the square window
     * @param cover distance within which every place must have a measured one; default 75
     * @param bores around which flatness is wanted
     * @param band width of the ring around a bore; default 12
     * @param uncertainty of the instrument, kept on both sides of the limit; default 0
     * @param model brings the chance that a limit is broken between the points
     */
    @Schema(name = "FlatnessRequest")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED)
            PointsBody points,

            @Schema(
                    description =
                            "[x0, y0, x1, y1] over which bow and twist are expressed; else the points' bounding box")
            double[] box,

            @Schema(description = "overall flatness limit, mm; brings a verdict", example = "0.05")
            Double limit,

            @Schema(description = "side of the square for the worst window, mm", example = "100")
            Double window,

            @Schema(description = "no place further than this from a point to be called within, mm; default 75")
            Double cover,

            @Schema(description = "bores around which flatness is wanted")
            List<Bore> bores,

            @Schema(description = "width of the ring around a bore, mm; default 12")
            Double band,

            @Schema(
                    description = "of the instrument, mm, kept on both sides of the limit; default 0",
                    example = "0.002")
            Double uncertainty,

            @Schema(
                    description =
                            "brings the chance that a limit is broken between the points, the verdict by it, and the next place")
            FlatnessModel.Settings model) {}

    @Schema(name = "Bore", description = "centre and diameter, mm")
    record Bore(Double x, Double y, Double d) {}

    @Schema(name = "FlatnessAnswer")
    record Answer(
            @Schema(description = "flatness about the least-squares plane, mm")
            double leastSquares,

            @Schema(description = "least distance between two parallel planes that hold all points, mm")
            double minimumZone,

            @Schema(description = "least-squares plane z = a x + b y + c")
            Plane plane,

            @Schema(description = "plane midway between the two")
            Plane minimumZonePlane,

            @Schema(description = "indices of the points that hold the two planes apart")
            int[] support,

            @Schema(description = "+ hollow, - crowned, mm; null where the points do not determine it")
            Double longBow,

            @Schema(description = "the same across") Double crossBow,

            @Schema(description = "+ when the corners (+,+) and (-,-) are high, mm; null as above")
            Double fourthCornerLift,

            String shape,

            @Schema(
                    description =
                            "WITHIN (only when bow and twist are determined), OUT or NOT_PROVEN; null without a limit")
            String verdict,

            @Schema(description = "null when no square holds four points")
            Window worstWindow,

            List<Ring> bores,

            @Schema(description = "between the points; left out unless the model was asked")
            @JsonInclude(JsonInclude.Include.NON_NULL)
            FlatnessModel.Answer model) {}

    @Schema(name = "Window", description = "lower left corner and zone of the worst square, mm")
    record Window(double x0, double y0, double zone) {}

    @Schema(name = "Ring", description = "zone is null with fewer than four points")
    record Ring(Double zone, int points) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.points() != null, "points", "app.calc.points-is-required-a-list-of-x-y-z-in");
        above(problems, "limit", request.limit());
        above(problems, "window", request.window());
        above(problems, "cover", request.cover());
        above(problems, "band", request.band());
        problems.require(
                request.uncertainty() == null || (finite(request.uncertainty()) && request.uncertainty() >= 0),
                "uncertainty",
                "app.calc.uncertainty-must-be-zero-or-above-in-mm");
        boolean boxFits = request.box() == null
                || (request.box().length == 4
                        && Arrays.stream(request.box()).allMatch(Double::isFinite)
                        && request.box()[2] > request.box()[0]
                        && request.box()[3] > request.box()[1]);
        problems.require(boxFits, "box", "app.calc.box-must-be-x0-y0-x1-y1-with-x1-x0-and");
        List<Bore> bores = request.bores() == null ? List.of() : request.bores();
        for (int i = 0; i < bores.size(); i++) {
            Bore b = bores.get(i);
            boolean fits = b != null && finite(b.x()) && finite(b.y()) && finite(b.d()) && b.d() > 0;
            problems.require(fits, "bores[" + i + "]", "app.calc.bores-must-have-finite-x-y-and-a", i);
        }
        FlatnessModel.check(problems, request);
        problems.throwIfAny();
        Points points = request.points().points();
        Flatness.check(points);
        windowsFit(points, request);
        FlatnessSettings settings = settings(points, request, bores);
        FlatnessResult found = Flatness.of(points, settings);
        return answer(found, request, FlatnessModel.answer(points, found, settings, request));
    }

    private static void windowsFit(Points points, Request request) {
        if (request.window() == null) {
            return;
        }
        long xs = Arrays.stream(points.xs()).distinct().count();
        long ys = Arrays.stream(points.ys()).distinct().count();
        Problems problems = new Problems();
        problems.require(
                xs * ys <= WindowFlatness.MOST_WINDOWS, "window", "app.calc.window-these-points-make-too-many");
        problems.throwIfAny();
    }

    private static FlatnessSettings settings(Points points, Request request, List<Bore> bores) {
        double[] b = request.box();
        Box box = b == null ? points.bounds() : new Box(b[0], b[1], b[2], b[3]);
        return new FlatnessSettings(
                box,
                Cover.landOf(box),
                optional(request.limit()),
                optional(request.window()),
                request.cover() == null ? RuleBook.DEFAULT_COVER.mm() : request.cover(),
                bores.stream()
                        .map(r -> new FlatnessSettings.Ring(new Spot(r.x(), r.y()), r.d()))
                        .toList(),
                request.band() == null ? RuleBook.DEFAULT_FIRE_RING_BAND.mm() : request.band(),
                request.uncertainty() == null ? 0 : request.uncertainty(),
                FlatnessSettings.VERDICT_SLACK_MM);
    }

    private static Answer answer(FlatnessResult r, Request request, FlatnessModel.@Nullable Answer model) {
        return new Answer(
                r.leastSquares(),
                r.minimumZone().zone(),
                r.leastSquaresPlane(),
                r.minimumZone().middle(),
                r.minimumZone().support(),
                boxed(r.bend().longBow()),
                boxed(r.bend().crossBow()),
                boxed(r.bend().fourthCornerLift()),
                r.shape().name(),
                r.verdict().map(Enum::name).orElse(null),
                r.worstWindow().map(w -> new Window(w.x0(), w.y0(), w.zone())).orElse(null),
                request.bores() == null
                        ? null
                        : r.bores().stream().map(FlatnessCall::ring).toList(),
                model);
    }

    private static Ring ring(BoreFlatness bore) {
        return new Ring(boxed(bore.zone()), bore.points());
    }

    static void above(Problems problems, String field, Double value) {
        problems.require(
                value == null || (finite(value) && value > 0),
                field,
                "app.calc.must-be-a-number-above-zero-in-mm",
                field);
    }

    static boolean finite(Double value) {
        return value != null && Double.isFinite(value);
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
