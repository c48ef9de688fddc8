package homalon.app.outcome.calc;

import homalon.core.guides.Guide;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.OptionalDouble;

/** The call {@code guide}. */
final class GuideCall {
    private GuideCall() {}

    @Schema(name = "GuideRequest")
    record Request(
            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "diameters of the stem, 1 to 3, mm",
                    example = "[7.962,7.960,7.961]")
            double[] stem,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description =
                            "two diameters, along and across the rocker line, at top, middle and bottom; or at one end alone",
                    example = "[[8.01,8.02],[8.0,8.0],[8.01,8.01]]")
            double[][] bore) {}

    @Schema(name = "GuideAnswer")
    record Answer(
            @Schema(description = "smallest bore less largest stem")
            double clearanceLeast,

            @Schema(description = "largest bore less smallest stem")
            double clearanceGoverning,

            double wear,

            @Schema(description = "null at one end only") Double bellMouthTop,

            @Schema(description = "null at one end only") Double bellMouthBottom,

            double ovality,

            @Schema(description = "it is never called good then")
            boolean oneEndOnly) {}

    static Answer answer(Request request) {
        Required required = new Required();
        required.value("stem", request.stem(), "diameters of the stem in mm");
        required.value("bore", request.bore(), "pairs of diameters of the guide in mm");
        required.check();
        Guide g = Guide.of(request.stem(), request.bore());
        return new Answer(
                g.clearanceLeast(),
                g.clearanceGoverning(),
                g.wear(),
                boxed(g.bellMouthTop()),
                boxed(g.bellMouthBottom()),
                g.ovality(),
                g.oneEndOnly());
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
