package homalon.core.cut;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.geometry.Range;
import homalon.core.numeric.LeastSquaresPlane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The four set-ups of a face side by side. Least removal and average are fitted to the sealing points, corners to the
 * named ones (exactly for three, by least squares for four), parallel takes the slopes given and is left out without them.
 *
 * <p>Shims level the plane: s_j = -(a x_j + b y_j), shifted so that the least is zero, then taken from the stock.
 * Three supports carry the casting; a fourth is brought up to touch and does not change the plane ({@link Supports}).
 */
public final class SetUps {
    private SetUps() {}

    /** @throws homalon.core.input.BadInputException when the settings do not fit the points */
    public static List<SetUp> of(Points points, SetUpSettings settings) {
        settings.check(points);
        Points seal = points.pick(settings.sealingIndices());
        Plane average = LeastSquaresPlane.fit(seal);
        Slopes reference = settings.parallelTo().orElse(Slopes.of(average));
        List<SetUp> all = new ArrayList<>();
        all.add(with(SetUpMethod.LEAST_REMOVAL, LeastRemoval.plane(seal, reference), points, seal, settings));
        all.add(with(SetUpMethod.AVERAGE, average, points, seal, settings));
        all.add(with(
                SetUpMethod.CORNERS, LeastSquaresPlane.fit(points.pick(settings.corners())), points, seal, settings));
        settings.parallelTo()
                .ifPresent(
                        s -> all.add(with(SetUpMethod.PARALLEL, parallel(s, average, seal), points, seal, settings)));
        return List.copyOf(all);
    }

    /** Of the parallel planes the one at the mean height of the sealing points. */
    private static Plane parallel(Slopes slopes, Plane average, Points seal) {
        double x = Arrays.stream(seal.xs()).average().orElse(0);
        double y = Arrays.stream(seal.ys()).average().orElse(0);
        return new Plane(slopes.a(), slopes.b(), average.at(x, y) - slopes.a() * x - slopes.b() * y);
    }

    private static SetUp with(SetUpMethod school, Plane plane, Points points, Points seal, SetUpSettings settings) {
        Range range = seal.range(plane);
        List<Double> shims = settings.footing().shims(plane);
        Plane onShims = settings.footing().levelOn(shims);
        Range rounded = seal.range(onShims);
        List<SetUp.CleanUp> cleanUp = Arrays.stream(settings.depths())
                .mapToObj(d -> new SetUp.CleanUp(d, share(seal, plane, range.most() - d)))
                .toList();
        return new SetUp(
                school,
                plane,
                range.extent(),
                shims,
                onShims,
                rounded.extent(),
                points.range(onShims).most() - rounded.most(),
                cleanUp);
    }

    private static double share(Points seal, Plane plane, double down) {
        int clean = 0;
        for (int i = 0; i < seal.size(); i++) {
            clean += seal.above(plane, i) >= down - 1e-12 ? 1 : 0;
        }
        return (double) clean / seal.size();
    }
}
