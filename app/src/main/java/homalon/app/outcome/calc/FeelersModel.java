package homalon.app.outcome.calc;

import homalon.core.face.FeelerEvidence;
import homalon.core.face.FeelerLine;
import homalon.core.face.FeelerLine.Rest;
import homalon.core.face.FeelerLine.Station;
import homalon.core.face.FeelerLine.Tried;
import homalon.core.face.FeelerSurvey;
import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.rulebook.Source;
import homalon.core.sure.FaceGrid;
import homalon.core.sure.FeelerSureness;
import homalon.core.sure.Sureness;
import homalon.core.surface.SurfacePrior;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What lies between the edges of the call {@code feelers}. */
final class FeelersModel {
    private static final double LEAST_LIMIT = 1e-3;
    private static final double MOST_LIMIT = 10;
    private static final double LEAST_BOX = 20;
    private static final double MOST_BOX = 5000;
    private static final int MOST_LINES = 30;
    private static final int MOST_BLADES = 40;
    private static final List<Double> QUARTERS = List.of(0.25, 0.5, 0.75);

    private FeelersModel() {}

    @Schema(name = "FeelersModel", description = "what such faces may be; general values where left out")
    record Settings(
            @Schema(description = "chance of being out that within leaves; default 0.01", example = "0.01") @Nullable
            Double risk,

            @Schema(
                    description =
                            "blades that are at hand, mm; default the thinnest and twice, three, four and five times that")
            @Nullable
            List<@Nullable Double> blades) {}

    @Schema(name = "FeelersModelAnswer")
    record Answer(
            @Schema(description = "that the limit is broken somewhere on the box")
            double chance,

            @Schema(description = "whether that is no more than the risk")
            boolean withinRisk,

            @Schema(description = "of the zone in 19 of 20 faces, mm")
            FeelersCall.Bounds zone,

            @Schema(description = "depth that is as likely to clean it as not, mm")
            double toClean,

            @Schema(description = "depth that cleans it in 9 of 10 cases, mm")
            double toCleanMostly,

            @Schema(description = "the blade and place that settle most; null where every blade was tried everywhere")
            FeelersCall.@Nullable Next next,

            @Schema(description = "whole faces that the chance was counted over")
            int drawn) {}

    static void check(Problems problems, FeelersCall.Request request) {
        Settings model = request.model();
        double[] b = request.box();
        if (model == null || b == null || b.length != 4) {
            return;
        }
        problems.require(
                model.risk() == null || (model.risk() > 0 && model.risk() < 1),
                "model.risk",
                "app.calc.model-risk-must-lie-between-0-and-1");
        problems.require(
                request.limit() == null || (request.limit() >= LEAST_LIMIT && request.limit() <= MOST_LIMIT),
                "limit",
                "app.calc.model-figure-must-lie-between",
                "limit",
                LEAST_LIMIT,
                MOST_LIMIT);
        for (double side : new double[] {b[2] - b[0], b[3] - b[1]}) {
            problems.require(
                    side >= LEAST_BOX && side <= MOST_BOX,
                    "box",
                    "app.calc.model-figure-must-lie-between",
                    "box",
                    LEAST_BOX,
                    MOST_BOX);
        }
        problems.require(
                request.lines() == null || request.lines().size() <= MOST_LINES,
                "lines",
                "app.calc.model-takes-at-most-so-many-lines",
                MOST_LINES);
        List<@Nullable Double> blades = model.blades() == null ? List.of() : model.blades();
        problems.require(
                blades.size() <= MOST_BLADES && blades.stream().allMatch(t -> t != null && t > 0 && t <= MOST_LIMIT),
                "model.blades",
                "app.calc.blades-are-thicker-than-nothing");
    }

    /** Nothing where the model was not asked, or nothing was tried. */
    static @Nullable Answer answer(FeelerSurvey survey, FeelersCall.Request request) {
        Settings model = request.model();
        if (model == null || survey.lines().stream().allMatch(l -> l.stations().isEmpty())) {
            return null;
        }
        FlatnessLimit limit = FlatnessLimit.overall(Length.roundedFromMm(survey.limit()), Source.SHOP);
        FaceGrid grid = FaceGrid.of(FlatnessModel.bare(survey.box()), List.of(limit));
        FeelerSureness sure = FeelerSureness.of(new FeelerSureness.Question(
                survey,
                grid,
                SurfacePrior.usual(survey.limit()),
                List.of(),
                model.risk() == null ? Sureness.USUAL_RISK : model.risk(),
                survey.lines().stream().map(FeelersModel::asked).toList(),
                model.blades() == null
                        ? Stream.of(1, 2, 3, 4, 5)
                                .map(n -> n * survey.thinnest())
                                .toList()
                        : List.copyOf(model.blades()),
                FeelerEvidence.Tools.USUAL,
                true));
        return new Answer(
                sure.said(),
                sure.withinRisk(),
                FeelersCall.Bounds.of(sure.zone()),
                sure.toClean(),
                sure.toCleanMostly(),
                sure.next().map(FeelersCall::next).orElse(null),
                sure.drawn());
    }

    /** Where a blade was tried, and at each quarter. */
    private static FeelerLine asked(FeelerLine line) {
        return new FeelerLine(
                line.from(),
                line.to(),
                Rest.NOT_NOTED,
                Tried.NOTHING,
                Stream.concat(line.stations().stream().map(Station::at), QUARTERS.stream())
                        .distinct()
                        .map(at -> new Station(at, Tried.NOTHING))
                        .toList());
    }
}
