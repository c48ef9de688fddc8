package homalon.app.outcome.calc;

import homalon.app.foundation.words.Words;
import homalon.core.chambers.CutForRatio;
import homalon.core.chambers.Cylinder;
import homalon.core.chambers.DepthFills;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;

/** The call {@code cut-for-ratio}. */
final class CutForRatioCall {
    private CutForRatioCall() {}

    @Schema(name = "DepthFill")
    record Fill(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "below the face, mm", example = "1")
            Double depth,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "41.4")
            Double cc) {}

    @Schema(
            name = "CutForRatioRequest",
            description = "an engine as for compression; lengths mm, areas mm2, volumes cm3")
    record Request(
            Double bore,
            Double stroke,

            @Schema(description = "not needed beside fills") Double chamberCc,

            Double gasketBore,
            Double gasketArea,
            Double gasketThickness,
            Double deck,
            Double crownCc,
            Double creviceCc,
            Double fillSpreadCc,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "10.2")
            Double wantedRatio,

            @Schema(description = "of the chamber at the face; this or fills", example = "4700")
            Double openingArea,

            @Schema(
                    description =
                            "to depths below the face, one of them 0, which takes the place of chamberCc; three or more"
                                    + " are followed as a parabola, never past the deepest")
            List<Fill> fills,

            @Schema(description = "of the block where valves stand in it; default the bore's")
            Double blockOpeningArea) {

        CompressionCall.Request engine(Double chamber) {
            return new CompressionCall.Request(
                    bore,
                    stroke,
                    chamber,
                    gasketBore,
                    gasketArea,
                    gasketThickness,
                    deck,
                    crownCc,
                    creviceCc,
                    fillSpreadCc);
        }
    }

    @Schema(name = "CutForRatioAnswer")
    record Answer(
            @Schema(description = "negative when metal would have to be put on")
            double headCut,

            @Schema(description = "the same by the block alone")
            double blockCut,

            @Schema(description = "of the chamber at the face")
            double openingArea,

            double chamberCcAfter,

            @Schema(description = "whether it is reached; the figures are given either way")
            boolean possible,

            @Schema(description = "what stops it, and what is possible")
            String why) {}

    static Answer answer(Request request) {
        Required required = new Required();
        double wanted = required.number("wantedRatio", request.wantedRatio(), "such as 9.5");
        required.require(
                request.openingArea() != null ^ request.fills() != null,
                "openingArea",
                "Send openingArea (mm2) or fills to depths below the face: one of the two.");
        required.check();
        CutForRatio cut = request.fills() == null ? byArea(request, wanted) : byFills(request, wanted);
        return new Answer(
                cut.headCut(),
                cut.blockCut(),
                cut.openingArea(),
                cut.chamberCcAfter(),
                cut.possible(),
                Words.of(cut.why()));
    }

    private static CutForRatio byArea(Request request, double wanted) {
        Cylinder cylinder = CompressionCall.cylinder(request.engine(request.chamberCc()));
        return CutForRatio.of(
                cylinder, wanted, request.openingArea(), Required.or(request.blockOpeningArea(), cylinder.boreArea()));
    }

    private static CutForRatio byFills(Request request, double wanted) {
        Required required = new Required();
        List<DepthFills.Level> levels = new ArrayList<>();
        required.require(request.fills().size() <= 1000, "fills", "fills: at most 1000 of one chamber.");
        required.check();
        for (int i = 0; i < request.fills().size(); i++) {
            Fill f = request.fills().get(i);
            required.require(
                    f != null && f.depth() != null && f.cc() != null,
                    "fills[" + i + "]",
                    "Each fill has a depth in mm and what it holds in cm3: {\"depth\": 1, \"cc\": 41.4}.");
            if (f != null && f.depth() != null && f.cc() != null) {
                levels.add(new DepthFills.Level(f.depth(), f.cc()));
            }
        }
        required.check();
        DepthFills fills = DepthFills.of(levels);
        Cylinder cylinder = CompressionCall.cylinder(request.engine(fills.brim()));
        return CutForRatio.of(cylinder, wanted, fills, Required.or(request.blockOpeningArea(), cylinder.boreArea()));
    }
}
