package homalon.app.outcome.calc;

import homalon.core.cut.Tram;
import homalon.core.input.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;

/** The call {@code tram}. */
final class TramCall {
    private TramCall() {}

    @Schema(name = "TramRequest", description = "outOfSquare or hollow, not both")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "of the cutter, mm", example = "200")
            Double diameter,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "of the face across the travel, mm; less than the diameter",
                    example = "150")
            Double width,

            @Schema(
                    description = "of the spindle, along the travel, mm over the diameter; the hollow is found",
                    example = "0.05")
            @Nullable
            Double outOfSquare,

            @Schema(description = "across the face, mm; how far the spindle is out of square is found") @Nullable
            Double hollow) {}

    @Schema(name = "TramAnswer")
    record Answer(
            @Schema(description = "how far the middle lies below the edges, the same along the travel, mm")
            double hollow,

            @Schema(description = "mm over the diameter") double outOfSquare) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.diameter() != null, "diameter", "cut.diameter-key-20-to-600-mm");
        problems.require(request.width() != null, "width", "cut.tram-the-cutter-is-wider-than-the-face");
        problems.require(
                (request.outOfSquare() == null) != (request.hollow() == null),
                "outOfSquare",
                "app.calc.give-either-outofsquare-or-hollow");
        problems.throwIfAny();
        double diameter = request.diameter();
        double width = request.width();
        if (request.outOfSquare() != null) {
            return new Answer(Tram.hollow(diameter, width, request.outOfSquare()), request.outOfSquare());
        }
        return new Answer(request.hollow(), Tram.outOfSquare(diameter, width, request.hollow()));
    }
}
