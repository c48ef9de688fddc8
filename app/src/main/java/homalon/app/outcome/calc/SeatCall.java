package homalon.app.outcome.calc;

import homalon.app.foundation.words.Words;
import homalon.core.seats.SeatAngles;
import homalon.core.seats.SeatPlan;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.OptionalDouble;

/** The call {@code seat}. */
final class SeatCall {
    private SeatCall() {}

    @Schema(
            name = "SeatRequest",
            description = "diameters and depths in mm, angles in degrees from the plane of the seat")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "45")
            Double faceAngle,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "30")
            Double topAngle,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "60")
            Double throatAngle,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "diameter of the outer edge",
                    example = "34.2")
            Double outer,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "diameter of the inner edge",
                    example = "31.6")
            Double inner,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "square to the face", example = "0.05")
            Double pitDepth,

            @Schema(description = "whole travel, square to the face; default 0", example = "0.04")
            Double runout,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "outer edge wanted", example = "34")
            Double targetOuter,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "along the face", example = "1.4")
            Double targetWidth,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "of the valve", example = "35")
            Double headDiameter,

            @Schema(description = "most that the valve may go in; default 0.5")
            Double sinkLimit) {}

    @Schema(name = "SeatAnswer", description = "sinks along the axis, mm")
    record Answer(
            double seatSink,
            double topSink,
            double throatSink,
            double outerAfterSeat,
            double innerAfterSeat,
            double valveSink,

            @Schema(description = "cm3 that the sunk valve adds to the chamber")
            double chamberCc,

            @Schema(description = "within the sink limit; the figures are given either way")
            boolean feasible,

            String why) {}

    static Answer answer(Request request) {
        Required required = new Required();
        double face = required.number("faceAngle", request.faceAngle(), "degrees, such as 45");
        double top = required.number("topAngle", request.topAngle(), "degrees, such as 30");
        double throat = required.number("throatAngle", request.throatAngle(), "degrees, such as 60");
        double outer = required.number("outer", request.outer(), "diameter of the outer edge in mm");
        double inner = required.number("inner", request.inner(), "diameter of the inner edge in mm");
        double pits = required.number("pitDepth", request.pitDepth(), "square to the face in mm; 0 for none");
        double targetOuter = required.number("targetOuter", request.targetOuter(), "diameter wanted in mm");
        double targetWidth = required.number("targetWidth", request.targetWidth(), "along the face in mm");
        double head = required.number("headDiameter", request.headDiameter(), "of the valve in mm");
        required.check();
        SeatPlan plan = SeatPlan.of(new SeatPlan.Asked(
                SeatAngles.of(top, face, throat),
                outer,
                inner,
                OptionalDouble.empty(),
                pits,
                Required.or(request.runout(), 0),
                targetOuter,
                targetWidth,
                head,
                head,
                Required.or(request.sinkLimit(), SeatPlan.DEFAULT_SINK_LIMIT),
                0,
                0));
        return new Answer(
                plan.seatSink(),
                plan.topSink(),
                plan.throatSink(),
                plan.outerAfterSeat(),
                plan.innerAfterSeat(),
                plan.valveSink(),
                plan.valveCc(),
                plan.feasible(),
                Words.of(plan.why()));
    }
}
