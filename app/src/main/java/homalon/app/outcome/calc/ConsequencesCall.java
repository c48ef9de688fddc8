package homalon.app.outcome.calc;

import homalon.core.chambers.Cylinder;
import homalon.core.chambers.EngineBook.Crown;
import homalon.core.chambers.GasketAdvice;
import homalon.core.cut.CamTiming;
import homalon.core.cut.ManifoldFit;
import homalon.core.cut.ValveRoom;
import io.swagger.v3.oas.annotations.media.Schema;

/** The call {@code consequences}: of several groups of figures each is answered that was sent whole. */
final class ConsequencesCall {
    private ConsequencesCall() {}

    @Schema(name = "ConsequencesRequest", description = "lengths mm, areas mm2, angles degrees")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "0.3")
            Double headCut,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "0.1")
            Double blockCut,

            @Schema(description = "pitch radius of the cam's sprocket", example = "55")
            Double sprocketRadius,

            @Schema(description = "of a V, from the vertical; with flangeLean", example = "45")
            Double bankHalfAngle,

            @Schema(description = "of the intake face from square to the deck; the sum stays under 90", example = "10")
            Double flangeLean,

            @Schema(description = "from the bore's axis; with valveClearance", example = "18")
            Double valveLean,

            @Schema(description = "valve to piston along the valve, measured", example = "2.6")
            Double valveClearance,

            @Schema(description = "by seat work; default 0") Double valveSink,

            @Schema(description = "default FLAT") Crown crown,

            @Schema(description = "with gasketBore and openingArea", example = "86")
            Double bore,

            Double gasketBore,
            Double openingArea) {}

    @Schema(name = "ConsequencesAnswer", description = "null where the figures for it were not sent")
    record Answer(
            @Schema(description = "degrees") Double camRetardCrank,

            Double manifoldFlange,
            Double manifoldRails,
            Double valveClearanceAfter,
            Double gasketToRestoreRatio) {}

    static Answer answer(Request request) {
        Required required = new Required();
        double head = required.number("headCut", request.headCut(), "in mm; 0 for none");
        double block = required.number("blockCut", request.blockCut(), "in mm; 0 for none");
        required.check();
        required.require(head >= 0 && head <= 100, "headCut", "headCut lies between 0 and 100 mm.");
        required.require(block >= 0 && block <= 100, "blockCut", "blockCut lies between 0 and 100 mm.");
        boolean manifold = required.together(
                new String[] {"bankHalfAngle", "flangeLean"}, request.bankHalfAngle(), request.flangeLean());
        boolean valve = required.together(
                new String[] {"valveLean", "valveClearance"}, request.valveLean(), request.valveClearance());
        boolean gasket = required.together(
                new String[] {"bore", "gasketBore", "openingArea"},
                request.bore(),
                request.gasketBore(),
                request.openingArea());
        required.check();
        double cut = head + block;
        ManifoldFit fit = manifold ? ManifoldFit.of(cut, request.bankHalfAngle(), request.flangeLean()) : null;
        return new Answer(
                request.sprocketRadius() == null
                        ? null
                        : (Double) CamTiming.of(cut, request.sprocketRadius()).crank(),
                fit == null ? null : (Double) fit.flange(),
                fit == null ? null : (Double) fit.rails(),
                valve
                        ? (Double) new ValveRoom(
                                        request.valveLean(),
                                        request.valveClearance(),
                                        Required.or(request.valveSink(), 0),
                                        request.crown() == null ? Crown.FLAT : request.crown())
                                .after(cut)
                        : null,
                gasket ? (Double) gasket(request, head, block) : null);
    }

    private static double gasket(Request request, double head, double block) {
        Required required = new Required();
        required.require(request.bore() > 0 && request.bore() <= 1000, "bore", "bore: above 0, at most 1000 mm.");
        required.require(
                request.gasketBore() > 0 && request.gasketBore() <= 1000,
                "gasketBore",
                "gasketBore: above 0, at most 1000 mm.");
        required.require(
                request.openingArea() > 0 && request.openingArea() <= 2e6,
                "openingArea",
                "openingArea: above 0, at most 2000000 mm2.");
        required.check();
        return GasketAdvice.toRestoreRatio(
                head,
                request.openingArea(),
                block,
                Cylinder.circle(request.bore()),
                Cylinder.circle(request.gasketBore()));
    }
}
