package homalon.app.outcome.calc;

import homalon.core.cut.Finish;
import homalon.core.input.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.OptionalDouble;

/** The call {@code finish}. */
final class FinishCall {
    private FinishCall() {}

    @Schema(name = "FinishRequest", description = "feedPerRev or wantedRa, not both")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "of the insert, mm", example = "6.35")
            Double noseRadius,

            @Schema(description = "mm per turn") Double feedPerRev,

            @Schema(description = "micrometres; the feed is solved for it", example = "0.8")
            Double wantedRa,

            @Schema(description = "mm", example = "250") Double cutterDiameter,

            @Schema(description = "m/min", example = "600") Double cuttingSpeed,

            @Schema(description = "of the spindle; never exceeded", example = "1000")
            Double maxRpm,

            @Schema(description = "of the face, mm", example = "412")
            Double length,

            @Schema(description = "beyond the face, mm; default 0", example = "250")
            Double overrun) {}

    @Schema(name = "FinishAnswer")
    record Answer(
            @Schema(description = "micrometres") double ra,

            @Schema(description = "micrometres") double rt,

            @Schema(description = "mm per turn") double feedPerRev,

            @Schema(description = "null without cutterDiameter and cuttingSpeed")
            Double rpm,

            @Schema(description = "mm/min; null without a speed")
            Double tableFeed,

            @Schema(description = "null without a feed and a length")
            Double minutes) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.noseRadius() != null, "noseRadius", "app.calc.noseradius-is-required-in-mm-such-as-6");
        problems.require(
                (request.feedPerRev() == null) != (request.wantedRa() == null),
                "feedPerRev",
                "app.calc.give-either-feedperrev-in-mm-or");
        problems.throwIfAny();
        Finish.Spindle spindle = new Finish.Spindle(
                optional(request.cutterDiameter()), optional(request.cuttingSpeed()), optional(request.maxRpm()));
        Finish.Run run = new Finish.Run(optional(request.length()), request.overrun() == null ? 0 : request.overrun());
        Finish finish = request.feedPerRev() != null
                ? Finish.ofFeed(request.noseRadius(), request.feedPerRev(), spindle, run)
                : Finish.ofRa(request.noseRadius(), request.wantedRa(), spindle, run);
        return new Answer(
                finish.ra(),
                finish.rt(),
                finish.feedPerRev(),
                boxed(finish.rpm()),
                boxed(finish.tableFeed()),
                boxed(finish.minutes()));
    }

    private static OptionalDouble optional(Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }

    private static Double boxed(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
