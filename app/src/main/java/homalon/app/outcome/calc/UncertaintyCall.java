package homalon.app.outcome.calc;

import homalon.core.gauge.KnownSum;
import homalon.core.gauge.Propagation;
import homalon.core.gauge.Uncertain;
import homalon.core.input.Problems;
import homalon.core.verdict.Verdict;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The call {@code uncertainty}. */
final class UncertaintyCall {
    private UncertaintyCall() {}

    @Schema(name = "UncertaintyRequest")
    record Request(
            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description =
                            "CLEARANCE (bore, stem), PRESS (outer, counterbore), DISC (diameter, thickness; cm3), "
                                    + "RATIO (sweptCc, clearanceCc), PROTRUSION (top, face) or AT_20 (length, expansion per K, "
                                    + "temperature in C)",
                    example = "CLEARANCE")
            @Nullable
            KnownSum sum,

            @Schema(requiredMode = Schema.RequiredMode.REQUIRED, description = "each figure of the sum by its name")
            Map<String, @Nullable Figure> figures,

            @Schema(description = "that the result may be") @Nullable
            Double least,

            @Schema(description = "that the result may be") @Nullable
            Double most) {}

    @Schema(name = "UncertainFigure", description = "with one of the three, or exact")
    record Figure(
            @Nullable Double value,

            @Schema(description = "standard uncertainty") @Nullable
            Double standard,

            @Schema(description = "as it is written with +-: twice the standard uncertainty") @Nullable
            Double plusMinus,

            @Schema(description = "it lies within so much to either side, every place as likely as another") @Nullable
            Double within) {}

    @Schema(name = "UncertaintyAnswer")
    record Answer(
            double value,

            @Schema(description = "standard uncertainty, to first order")
            double standard,

            @Schema(description = "kept on both sides of a limit: twice that")
            double kept,

            @Schema(description = "what each figure adds to it by itself")
            Map<String, Double> parts,

            @Schema(description = "the figure that leaves most open; null where all are exact") @Nullable
            String most,

            @Schema(description = "standard uncertainty by drawing two thousand times")
            double drawn,

            @Schema(description = "WITHIN, OUT or NOT_PROVEN; null without a limit") @Nullable
            String verdict) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.sum() != null, "sum", "app.calc.sum-is-one-of-those-named");
        problems.require(request.figures() != null, "figures", "app.calc.figures-by-the-names-of-the-sum");
        for (Double limit : new Double[] {request.least(), request.most()}) {
            problems.require(limit == null || FlatnessCall.finite(limit), "most", "app.calc.limits-are-numbers");
        }
        problems.throwIfAny();
        KnownSum sum = request.sum();
        Map<String, @Nullable Figure> given = request.figures();
        given.keySet().stream()
                .filter(name -> !sum.names().contains(name))
                .forEach(name -> problems.require(
                        false, "figures." + name, "app.calc.this-sum-takes", String.join(", ", sum.names())));
        List<Uncertain> figures = new ArrayList<>();
        for (String name : sum.names()) {
            figures.add(figure(problems, "figures." + name, given.get(name)));
        }
        problems.throwIfAny();
        problems.require(sum.defined(figures), "figures", "app.calc.figures-give-no-result");
        problems.throwIfAny();
        Propagation.Propagated found = sum.of(figures);
        return answer(request, sum, found, sum.drawn(figures));
    }

    private static Answer answer(Request request, KnownSum sum, Propagation.Propagated found, Uncertain drawn) {
        Map<String, Double> parts = new LinkedHashMap<>();
        for (int i = 0; i < sum.names().size(); i++) {
            parts.put(sum.names().get(i), found.parts().get(i));
        }
        Uncertain result = found.result();
        return new Answer(
                result.value(),
                result.standard(),
                result.kept(),
                Collections.unmodifiableMap(parts),
                result.standard() > 0 ? sum.names().get(found.most()) : null,
                drawn.standard(),
                verdict(result, request));
    }

    private static @Nullable String verdict(Uncertain result, Request request) {
        if (request.least() == null && request.most() == null) {
            return null;
        }
        double least = request.least() == null ? -Double.MAX_VALUE : request.least();
        double most = request.most() == null ? Double.MAX_VALUE : request.most();
        Verdict verdict = result.between(least, most);
        return verdict.name();
    }

    private static Uncertain figure(Problems problems, String field, @Nullable Figure figure) {
        Double value = figure == null ? null : figure.value();
        problems.require(value != null && FlatnessCall.finite(value), field, "app.calc.figure-has-a-value", field);
        if (figure == null || value == null || !FlatnessCall.finite(value)) {
            return Uncertain.exact(0);
        }
        Uncertain found = Uncertain.exact(value);
        int said = 0;
        for (Double open : new Double[] {figure.standard(), figure.plusMinus(), figure.within()}) {
            if (open != null) {
                said++;
                problems.require(
                        open >= 0 && FlatnessCall.finite(open), field, "app.calc.what-is-open-is-0-or-more", field);
            }
        }
        problems.require(said <= 1, field, "app.calc.one-of-standard-plusminus-and-within", field);
        if (said != 1) {
            return found;
        }
        if (good(figure.standard())) {
            found = new Uncertain(value, figure.standard());
        } else if (good(figure.plusMinus())) {
            found = Uncertain.plusMinus(value, figure.plusMinus());
        } else if (good(figure.within())) {
            found = Uncertain.within(value, figure.within());
        }
        return found;
    }

    private static boolean good(@Nullable Double open) {
        return open != null && open >= 0 && FlatnessCall.finite(open);
    }
}
