package homalon.app.outcome.calc;

import homalon.core.cut.SetUp;
import homalon.core.cut.SetUpSettings;
import homalon.core.cut.SetUps;
import homalon.core.cut.Slopes;
import homalon.core.cut.Supports;
import homalon.core.face.Flatness;
import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.Problems;
import homalon.core.quantity.Length;
import homalon.core.rulebook.ShimStock;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The call {@code setup}. */
final class SetUpCall {
    private SetUpCall() {}

    /**
     * @param points required
     * @param sealing one flag per point; all seal when left out
     * @param supports [[x, y], ...], three or more
     * @param corners three or four indices of points, from 0
     * @param parallelTo slopes of the reference in the frame of z
     * @param shimStep step of the shim stock
     * @param depths below the highest sealing point, for which the clean-up is wanted
     */
    @Schema(name = "SetUpRequest")
    record Request(
            @Schema(requiredMode = Schema.RequiredMode.REQUIRED)
            PointsBody points,

            @Schema(description = "one flag per point; all seal when left out")
            boolean[] sealing,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "three or more [x, y], mm",
                    example = "[[25,25],[375,25],[200,125]]")
            double[][] supports,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "three or four indices of points, from 0",
                    example = "[0,1,2]")
            int[] corners,

            @Schema(description = "slopes of the reference in the frame of z")
            SlopesBody parallelTo,

            @Schema(
                    requiredMode = Schema.RequiredMode.REQUIRED,
                    description = "step of the shim stock, mm",
                    example = "0.01")
            Double shimStep,

            @Schema(description = "depths below the highest sealing point for which the clean-up is wanted, mm")
            double[] depths) {}

    @Schema(name = "Slopes", description = "mm per mm along x and y")
    record SlopesBody(Double a, Double b) {}

    @Schema(name = "SetUpAnswer")
    record Answer(List<One> setups) {}

    @Schema(name = "SetUp")
    record One(
            String school,
            Plane plane,
            double depth,
            List<Double> shims,
            double depthWithShims,
            List<SetUp.CleanUp> cleanUp) {}

    static Answer answer(Request request) {
        Problems problems = new Problems();
        problems.require(request.points() != null, "points", "app.calc.points-is-required-a-list-of-x-y-z-in");
        problems.require(request.supports() != null, "supports", "app.calc.supports-is-required-three-or-more-x-y");
        problems.require(request.corners() != null, "corners", "app.calc.corners-is-required-three-or-four");
        problems.require(request.shimStep() != null, "shimStep", "app.calc.shimstep-is-required-such-as-0-01");
        problems.require(
                request.shimStep() == null || (request.shimStep() >= 1e-6 && request.shimStep() <= 5),
                "shimStep",
                "app.calc.shimstep-must-be-above-zero-and-at-most");
        List<Spot> supports = supports(request, problems);
        SlopesBody slopes = request.parallelTo();
        problems.require(
                slopes == null || (finite(slopes.a()) && finite(slopes.b())),
                "parallelTo",
                "app.calc.parallelto-must-hold-two-finite-slopes");
        problems.throwIfAny();
        Points points = request.points().points();
        Flatness.check(points);
        boolean withCleanUp = request.depths() != null;
        SetUpSettings settings = new SetUpSettings(
                sealing(request, points),
                new Supports(supports, ShimStock.inSteps(Length.roundedFromMm(request.shimStep()))),
                request.corners(),
                Optional.ofNullable(slopes).map(s -> new Slopes(s.a(), s.b())),
                withCleanUp ? request.depths() : new double[0]);
        return new Answer(SetUps.of(points, settings).stream()
                .map(s -> new One(
                        s.school().name(),
                        s.plane(),
                        s.depth(),
                        s.shims(),
                        s.depthWithShims(),
                        withCleanUp ? s.cleanUp() : null))
                .toList());
    }

    private static boolean finite(Double slope) {
        return slope != null && Double.isFinite(slope);
    }

    private static List<Spot> supports(Request request, Problems problems) {
        List<Spot> supports = new ArrayList<>();
        double[][] given = request.supports() == null ? new double[0][] : request.supports();
        for (int i = 0; i < given.length; i++) {
            String name = "supports[" + i + "]";
            double[] s = given[i];
            if (problems.require(s != null && s.length == 2, name, "app.calc.must-be-x-y-in-mm", name)) {
                supports.add(new Spot(s[0], s[1]));
            }
        }
        return supports;
    }

    private static boolean[] sealing(Request request, Points points) {
        if (request.sealing() != null) {
            return request.sealing();
        }
        boolean[] all = new boolean[points.size()];
        Arrays.fill(all, true);
        return all;
    }
}
