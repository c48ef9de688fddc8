package homalon.app.outcome.calc;

import homalon.core.chambers.ChamberVolume;
import homalon.core.chambers.Compression;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.Doubts;
import io.swagger.v3.oas.annotations.media.Schema;

/** The call {@code compression}. */
final class CompressionCall {
    private CompressionCall() {}

    @Schema(name = "CompressionRequest", description = "lengths mm, areas mm2, volumes cm3")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "86")
            Double bore,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "78")
            Double stroke,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "46.2")
            Double chamberCc,

            @Schema(description = "diameter of its opening; this or gasketArea", example = "87.5")
            Double gasketBore,

            @Schema(description = "its true opening where it is no circle")
            Double gasketArea,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "compressed", example = "1.15")
            Double gasketThickness,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "piston below the deck at top dead centre, - when proud",
                    example = "0.2")
            Double deck,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "dish and pockets +, dome -",
                    example = "1.5")
            Double crownCc,

            @Schema(description = "between crown and top ring; default 0")
            Double creviceCc,

            @Schema(description = "what the fills leave open; default 0.2")
            Double fillSpreadCc) {}

    @Schema(name = "CompressionAnswer")
    record Answer(
            double sweptCc,
            double clearanceCc,
            double ratio,

            @Schema(description = "swept / clearance^2 x fillSpreadCc")
            double ratioSpread) {}

    static Answer answer(Request request) {
        Cylinder cylinder = cylinder(request);
        double spread = Required.or(request.fillSpreadCc(), ChamberVolume.DEFAULT_FILL);
        Required required = new Required();
        required.require(
                spread >= 0 && spread <= 1e4, "fillSpreadCc", "fillSpreadCc lies between 0 and 10000 cc, such as 0.2.");
        required.check();
        Compression found = Compression.now(cylinder, Doubts.ofFill(spread));
        return new Answer(cylinder.sweptCc(), cylinder.clearanceCc(), found.ratio(), found.spread());
    }

    static Cylinder cylinder(Request request) {
        Required required = new Required();
        double bore = required.number("bore", request.bore(), "in mm");
        double stroke = required.number("stroke", request.stroke(), "in mm");
        double chamber = required.number("chamberCc", request.chamberCc(), "in cm3");
        double thickness = required.number("gasketThickness", request.gasketThickness(), "compressed, in mm");
        double deck = required.number("deck", request.deck(), "piston below the deck in mm, - when proud");
        double crown = required.number("crownCc", request.crownCc(), "in cm3, dish +, dome -; 0 for flat");
        required.require(
                request.gasketBore() != null ^ request.gasketArea() != null,
                "gasketBore",
                "Send gasketBore (mm) or gasketArea (mm2): one of the two.");
        required.check();
        return new Cylinder(
                bore,
                stroke,
                chamber,
                request.gasketArea() != null
                        ? new Cylinder.Gasket(request.gasketArea(), thickness)
                        : Cylinder.Gasket.round(request.gasketBore(), thickness),
                deck,
                crown,
                Required.or(request.creviceCc(), 0));
    }
}
