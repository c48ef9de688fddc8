package homalon.app.outcome.calc;

import homalon.app.foundation.words.Words;
import homalon.core.gauge.Repeatability;
import homalon.core.input.Problems;
import io.swagger.v3.oas.annotations.media.Schema;
import org.jspecify.annotations.Nullable;

/** The call {@code study}. */
final class StudyCall {
    /** Far more than anybody reads by hand. */
    private static final int MOST = 20_000;

    private StudyCall() {}

    @Schema(name = "StudyRequest")
    record Request(
            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "by person, by place, by time, mm; each person reads each place as often",
                    example = "[[[0.01,0.011],[0.02,0.022]],[[0.012,0.01],[0.021,0.02]]]")
            double[][][] readings,

            @Schema(description = "of the limit that the gauge is to prove, from the least to the most, mm") @Nullable
            Double limit) {}

    @Schema(name = "StudySource", description = "a line of the analysis of variance")
    record Source(
            double squares,
            int freedom,
            double meanSquare,

            @Schema(description = "that it adds to one reading, mm2; 0 where it cannot be told from repeat")
            double variance) {
        static Source of(Repeatability.Source source) {
            return new Source(source.squares(), source.freedom(), source.meanSquare(), source.variance());
        }
    }

    @Schema(name = "StudyAnswer")
    record Answer(
            Source places,
            Source people,
            Source together,
            Source repeat,

            @Schema(description = "standard deviation of one person at one place, mm")
            double repeatability,

            @Schema(description = "that it adds that another person reads, mm")
            double reproducibility,

            @Schema(description = "both: standard uncertainty of a reading, mm")
            double both,

            @Schema(description = "distinct steps that the gauge tells among these places")
            int steps,

            @Schema(description = "six standard deviations over the limit; null without one") @Nullable
            Double share,

            @Schema(description = "PROVES, BARELY or CANNOT; null without a limit") @Nullable
            String fit,

            @Schema(description = "the same in words") @Nullable
            String says) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.readings() != null, "readings", "app.calc.readings-by-person-place-and-time");
        FlatnessCall.above(problems, "limit", request.limit());
        problems.throwIfAny();
        problems.require(readable(request.readings()), "readings", "app.calc.readings-by-person-place-and-time");
        problems.throwIfAny();
        Repeatability found = Repeatability.of(request.readings());
        Double limit = request.limit();
        return new Answer(
                Source.of(found.places()),
                Source.of(found.people()),
                Source.of(found.together()),
                Source.of(found.repeat()),
                found.repeatability(),
                found.reproducibility(),
                found.both(),
                found.steps(),
                limit == null ? null : found.share(limit),
                limit == null ? null : found.fit(limit).name(),
                limit == null ? null : Words.of(found.fit(limit).words()));
    }

    private static boolean readable(double[][][] readings) {
        int count = 0;
        for (double[][] person : readings) {
            if (person == null || person.length == 0) {
                return false;
            }
            for (double[] place : person) {
                if (place == null) {
                    return false;
                }
                count += place.length;
            }
        }
        return count <= MOST;
    }
}
