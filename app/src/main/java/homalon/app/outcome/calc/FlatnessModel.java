package homalon.app.outcome.calc;

import homalon.core.face.FlatnessResult;
import homalon.core.face.FlatnessSettings;
import homalon.core.geometry.Box;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.part.Ground;
import homalon.core.part.Land;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Source;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.Sureness;
import homalon.core.surface.SurfacePrior;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;

/** What lies between the points of the call {@code flatness}. */
final class FlatnessModel {
    private static final GeometryFactory SHAPES = new GeometryFactory();
    private static final int MOST = 600;
    private static final int ARC = 24;
    private static final double LEAST_LIMIT = 1e-4;
    /** Below this rounding, among the most points, is louder than the noise. */
    private static final double LEAST_NOISE = 1e-4;

    private static final double MOST_LENGTH = 10_000;
    /** From its plane no face is further, and no unevenness higher, mm. */
    private static final double MOST_HEIGHT = 10;

    private FlatnessModel() {}

    /**
     * @param risk chance of being out that within leaves; default 0.01
     * @param noise standard uncertainty of one height; default half of the uncertainty, else 0.001
     * @param windowLimit flatness asked in any square of the side {@code window}
     * @param length over which the unevenness keeps its height; default 70
     * @param local height of the unevenness; default a quarter of the tightest limit
     * @param gone places at which a gasket was seen to be gone
     */
    @Schema(name = "FlatnessModel", description = "what such faces may be; general values where left out")
    record Settings(
            @Schema(description = "chance of being out that within leaves; default 0.01", example = "0.01")
            Double risk,

            @Schema(description = "standard uncertainty of one height, mm; default half of the uncertainty, else 0.001")
            Double noise,

            @Schema(description = "flatness asked in any square of the side window, mm")
            Double windowLimit,

            @Schema(description = "mm over which the unevenness keeps its height; default 70")
            Double length,

            @Schema(description = "height of the unevenness, mm; default a quarter of the tightest limit")
            Double local,

            @Schema(description = "[x, y] of places at which a gasket was seen to be gone")
            List<double[]> gone) {}

    @Schema(name = "FlatnessModelAnswer")
    record Answer(
            @Schema(description = "chance that the limit over all is broken somewhere on the box less its bores")
            Double chance,

            @Schema(description = "chance that the limit in any square is")
            Double windowChance,

            @Schema(description = "chance that any of them is")
            double anyChance,

            @Schema(description = "whether that is no more than the risk")
            boolean withinRisk,

            @Schema(description = "[x, y] of the place that settles most")
            double[] next,

            @Schema(description = "whole faces that the chances were counted over")
            int drawn) {}

    static void check(Problems problems, FlatnessCall.Request request) {
        Settings model = request.model();
        if (model == null) {
            return;
        }
        problems.require(
                model.risk() == null || (FlatnessCall.finite(model.risk()) && model.risk() > 0 && model.risk() < 1),
                "model.risk",
                "app.calc.model-risk-must-lie-between-0-and-1");
        FlatnessCall.above(problems, "model.windowLimit", model.windowLimit());
        between(problems, "model.noise", model.noise(), LEAST_NOISE, MOST_HEIGHT);
        between(problems, "model.length", model.length(), 1, MOST_LENGTH);
        between(problems, "model.local", model.local(), LEAST_LIMIT / 100, MOST_HEIGHT);
        problems.require(
                request.limit() != null || model.windowLimit() != null,
                "model",
                "app.calc.model-asks-of-a-limit-give-limit-or-windowlimit");
        problems.require(
                model.windowLimit() == null || request.window() != null,
                "model.windowLimit",
                "app.calc.model-windowlimit-needs-the-side-window");
        problems.require(
                request.points() == null || request.points().points().size() <= MOST,
                "model",
                "app.calc.model-takes-at-most-so-many-points",
                MOST);
        for (Double limit : Arrays.asList(request.limit(), model.windowLimit())) {
            problems.require(limit == null || !(limit < LEAST_LIMIT), "model", "app.calc.model-limits-are-at-least");
        }
        List<double[]> gone = model.gone() == null ? List.of() : model.gone();
        for (int i = 0; i < gone.size(); i++) {
            double[] spot = gone.get(i);
            problems.require(
                    spot != null && spot.length == 2 && Arrays.stream(spot).allMatch(Double::isFinite),
                    "model.gone[" + i + "]",
                    "app.calc.model-gone-must-be-x-y-in-mm");
        }
    }

    private static void between(Problems problems, String field, @Nullable Double value, double least, double most) {
        problems.require(
                value == null || (value >= least && value <= most),
                field,
                "app.calc.model-figure-must-lie-between",
                field,
                least,
                most);
    }

    /** Nothing where the model was not asked. */
    static @Nullable Answer answer(
            Points points, FlatnessResult found, FlatnessSettings settings, FlatnessCall.Request request) {
        Settings model = request.model();
        if (model == null) {
            return null;
        }
        List<FlatnessLimit> limits = new ArrayList<>();
        Optional.ofNullable(request.limit())
                .ifPresent(l -> limits.add(FlatnessLimit.overall(Length.roundedFromMm(l), Source.SHOP)));
        int overall = limits.size();
        Optional.ofNullable(model.windowLimit())
                .ifPresent(l -> limits.add(FlatnessLimit.inAny(
                        Length.roundedFromMm(request.window()), Length.roundedFromMm(l), Source.SHOP)));
        FaceGrid grid = FaceGrid.of(ground(settings), limits);
        Problems problems = new Problems();
        boolean near = found.leastSquares() <= MOST_HEIGHT;
        problems.require(near, "points", "app.calc.model-heights-lie-within", MOST_HEIGHT);
        problems.require(!grid.spots().isEmpty(), "bores", "app.calc.model-no-land-is-left-between-the-bores");
        problems.throwIfAny();
        SurfacePrior usual = SurfacePrior.usual(grid.tightest());
        SurfacePrior prior = usual.withLocal(
                model.length() == null ? usual.length() : model.length(),
                model.local() == null ? usual.local() : model.local(),
                0);
        double noise = model.noise() != null ? model.noise() : Sureness.noise(band(settings));
        double risk = model.risk() == null ? Sureness.USUAL_RISK : model.risk();
        List<Spot> gone = model.gone() == null
                ? List.of()
                : model.gone().stream().map(s -> new Spot(s[0], s[1])).toList();
        Sureness sure = Sureness.of(new Sureness.Question(grid, prior, noise, gone, risk), points);
        return new Answer(
                overall == 1 ? sure.chance(0) : null,
                limits.size() > overall ? sure.chance(overall) : null,
                sure.any(),
                sure.withinRisk(),
                sure.next().map(s -> new double[] {s.x(), s.y()}).orElse(null),
                sure.drawn());
    }

    /** What was given, else that of a good indicator. */
    private static double band(FlatnessSettings settings) {
        return settings.uncertainty() > 0 ? settings.uncertainty() : RuleBook.DEFAULT_UNCERTAINTY.mm();
    }

    /** A face without bores. */
    static Ground bare(Box box) {
        Geometry land = SHAPES.toGeometry(new Envelope(box.x0(), box.x1(), box.y0(), box.y1()));
        return new Ground(box, Land.of(land), List.of(), List.of());
    }

    private static Ground ground(FlatnessSettings settings) {
        Box box = settings.box();
        Geometry land = SHAPES.toGeometry(new Envelope(box.x0(), box.x1(), box.y0(), box.y1()));
        List<Layout.Bore> bores = new ArrayList<>();
        for (FlatnessSettings.Ring ring : settings.bores()) {
            bores.add(new Layout.Bore(bores.size() + 1, ring.centre(), ring.diameter()));
            land = land.difference(SHAPES.createPoint(
                            new Coordinate(ring.centre().x(), ring.centre().y()))
                    .buffer(ring.diameter() / 2, ARC));
        }
        return new Ground(box, Land.of(land), bores, List.of());
    }
}
