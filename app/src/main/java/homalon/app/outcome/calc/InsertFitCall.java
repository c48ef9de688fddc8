package homalon.app.outcome.calc;

import homalon.core.catalogue.Metal;
import homalon.core.part.Material;
import homalon.core.quantity.BenchUnit;
import homalon.core.rulebook.BenchFigure;
import homalon.core.rulebook.BookDefaults;
import homalon.core.seats.PressFit;
import io.swagger.v3.oas.annotations.media.Schema;

/** The call {@code insert-fit}. */
final class InsertFitCall {
    private InsertFitCall() {}

    @Schema(name = "InsertFitRequest", description = "mm and degrees C")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "ALUMINIUM")
            Material head,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "HARD_IRON")
            Metal insert,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "34.88")
            Double counterbore,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "35")
            Double insertOuter,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, example = "27")
            Double insertInner,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "thinnest metal from the counterbore to water",
                    example = "4.1")
            Double wallToWater,

            @Schema(description = "the insert; default 20", example = "-78")
            Double chillTo,

            @Schema(description = "the head; default 20", example = "120")
            Double warmTo,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "worst in service", example = "220")
            Double runAt) {}

    @Schema(name = "InsertFitAnswer", description = "mm, degrees C, MPa")
    record Answer(
            double press,
            double pressWhenHot,

            @Schema(description = "null when the insert grows as much as the head")
            Double pressGoneAt,

            @Schema(description = "below zero it has to be driven")
            double fittingClearance,

            double interfacePressure,
            double hoopStress) {}

    static Answer answer(Request request) {
        Required required = new Required();
        Material head = required.value("head", request.head(), "CAST_IRON or ALUMINIUM");
        Metal insert = required.value("insert", request.insert(), "such as HARD_IRON");
        double bore = required.number("counterbore", request.counterbore(), "its diameter in mm");
        double outer = required.number("insertOuter", request.insertOuter(), "in mm");
        double inner = required.number("insertInner", request.insertInner(), "in mm");
        double wall = required.number("wallToWater", request.wallToWater(), "in mm");
        double run = required.number("runAt", request.runAt(), "worst temperature in service in C");
        required.check();
        PressFit fit = PressFit.of(new PressFit.Asked(
                Metal.of(head),
                insert,
                bore,
                outer,
                inner,
                wall,
                Required.or(request.chillTo(), PressFit.ROOM),
                Required.or(request.warmTo(), PressFit.ROOM),
                run,
                BenchFigure.INSERT_HOT.general(BookDefaults.of(BenchUnit.MM))));
        return new Answer(
                fit.press(),
                fit.hot(),
                fit.goneAt().isPresent() ? fit.goneAt().getAsDouble() : null,
                fit.fitting(),
                fit.pressure(),
                fit.hoop());
    }
}
