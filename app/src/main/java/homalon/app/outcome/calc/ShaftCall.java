package homalon.app.outcome.calc;

import homalon.core.input.Problems;
import homalon.core.lines.ShaftLine;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;

/** The call {@code shaft}. */
final class ShaftCall {
    private ShaftCall() {}

    @Schema(name = "ShaftRequest", description = "one number per bore in every list, mm")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "along the line", example = "[0,98,196]")
            double[] at,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "of the centres off a straight datum, + high",
                    example = "[0,0.02,0]")
            double[] height,

            @Schema(description = "of the centres off a straight datum; left out when it was not read")
            double[] sideways,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "of the shaft in each bore, on the diameter",
                    example = "[0.06,0.06,0.06]")
            double[] clearance,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "least with which the shaft may run",
                    example = "0.02")
            Double runningClearance) {}

    @Schema(name = "ShaftAnswer")
    record Answer(
            @Schema(description = "on the diameter, on the best line; negative when no straight shaft fits")
            double clearanceLeft,

            @Schema(description = "straightness of the heights")
            double zone,

            @Schema(description = "of the middle against the line through the ends, + high")
            double bow,

            @Schema(description = "on the diameter at each bore, on the best line")
            List<Double> left,

            @Schema(description = "index of the bore with least left")
            int worst,

            ShaftLine.Turns verdict) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.at() != null, "at", "app.calc.at-is-required-where-the-bores-stand");
        problems.require(request.height() != null, "height", "app.calc.height-is-required-of-each-bore-off-the");
        problems.require(request.clearance() != null, "clearance", "app.calc.clearance-is-required-on-the-diameter");
        problems.require(
                request.runningClearance() != null,
                "runningClearance",
                "app.calc.runningclearance-is-required-in-mm-such");
        problems.throwIfAny();
        int n = request.at().length;
        problems.require(request.height().length == n, "height", "app.calc.height-must-hold-one-number-for-each");
        problems.require(
                request.clearance().length == n, "clearance", "app.calc.clearance-must-hold-one-number-for-each");
        problems.require(
                request.sideways() == null || request.sideways().length == n,
                "sideways",
                "app.calc.sideways-must-hold-one-number-for-each");
        problems.throwIfAny();
        List<ShaftLine.Bore> bores = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            double side = request.sideways() == null ? 0 : request.sideways()[i];
            bores.add(new ShaftLine.Bore(request.at()[i], request.height()[i], side, request.clearance()[i]));
        }
        ShaftLine shaft = ShaftLine.of(bores, request.runningClearance());
        return new Answer(
                shaft.clearanceLeft(), shaft.zone(), shaft.bow(), shaft.left(), shaft.worst(), shaft.verdict());
    }
}
