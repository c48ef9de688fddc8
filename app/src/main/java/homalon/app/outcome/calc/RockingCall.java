package homalon.app.outcome.calc;

import homalon.core.guides.Rocking;
import io.swagger.v3.oas.annotations.media.Schema;

/** The call {@code rocking}. */
final class RockingCall {
    private RockingCall() {}

    @Schema(name = "RockingRequest")
    record Request(
            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "whole travel at the head, mm",
                    example = "0.18")
            Double play,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "from the guide's lower end to the place measured, mm",
                    example = "12")
            Double reach,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "mm", example = "54")
            Double guideLength) {}

    @Schema(name = "RockingAnswer")
    record Answer(
            @Schema(description = "on the diameter, mm") double clearance) {}

    static Answer answer(Request request) {
        Required required = new Required();
        double play = required.number("play", request.play(), "whole travel of the indicator in mm");
        double reach = required.number("reach", request.reach(), "from the guide's end to the indicator in mm");
        double length = required.number("guideLength", request.guideLength(), "in mm");
        required.check();
        return new Answer(Rocking.clearance(play, reach, length));
    }
}
