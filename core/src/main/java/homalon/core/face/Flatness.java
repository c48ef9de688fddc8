package homalon.core.face;

import homalon.core.geometry.Plane;
import homalon.core.geometry.Points;
import homalon.core.input.Problems;
import homalon.core.numeric.LeastSquaresPlane;
import homalon.core.part.Land;
import homalon.core.verdict.Verdict;
import homalon.core.words.Message;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;

/** Everything that points of a face say about its flatness, in one sum. */
public final class Flatness {
    private static final int FEWEST = 4;
    /** Beyond this a coordinate is no length on a casting, and squares of it leave the range of a double. */
    private static final double FURTHEST_MM = 1e100;

    private Flatness() {}

    /**
     * @throws homalon.core.input.BadInputException with fewer than four points, places on one line, or one place with two
     *     heights
     */
    public static FlatnessResult of(Points points, FlatnessSettings settings) {
        return of(points, settings, Cover::of);
    }

    /** @param covering answers what {@link Cover#of} answers, from a store of the caller */
    static FlatnessResult of(Points points, FlatnessSettings settings, BiFunction<Points, Land, Cover> covering) {
        check(points);
        return sum(points, settings, covering.apply(points, settings.land()));
    }

    /** The same for a scan, where one place may well have been seen twice. */
    static FlatnessResult ofCloud(Points points, FlatnessSettings settings) {
        return sum(points, settings, Cover.of(points, settings.land()));
    }

    private static FlatnessResult sum(Points points, FlatnessSettings settings, Cover cover) {
        Plane plane = LeastSquaresPlane.fit(points);
        MinimumZone.Result zone = MinimumZone.of(points);
        double leastSquares = Math.max(zone.zone(), points.range(plane).extent() * plane.cosTilt());
        BowAndTwist bend = BowAndTwist.of(points, settings.box());
        Optional<WindowFlatness.Worst> worst = settings.window().isPresent()
                ? WindowFlatness.worst(points, settings.window().getAsDouble(), settings.slack())
                : Optional.empty();
        boolean windowsFilled = settings.window().isEmpty() || worst.isPresent();
        Optional<Verdict> verdict = settings.limit().isPresent()
                ? Optional.of(judge(zone.zone(), settings, cover, windowsFilled && bend.determined()))
                : Optional.empty();
        boolean flat =
                settings.limit().isPresent() && zone.zone() <= settings.limit().getAsDouble() + settings.slack();
        return new FlatnessResult(
                leastSquares,
                plane,
                zone,
                bend,
                flat ? Shape.FLAT : bend.shape(),
                verdict,
                worst,
                settings.bores().stream()
                        .map(b -> BoreFlatness.of(points, b.centre(), b.diameter(), settings.band(), settings.slack()))
                        .toList(),
                cover);
    }

    /**
     * Out is proven by a zone over the limit; within needs cover and the shape, since points are a lower bound of the face.
     * Neither is proven within the instrument's uncertainty of the limit.
     *
     * @param enough whether bow and twist are determined, and what else the limit asks for was read
     */
    static Verdict judge(double zone, FlatnessSettings settings, Cover cover, boolean enough) {
        double limit = settings.limit().getAsDouble() + settings.slack();
        if (zone - settings.uncertainty() > limit) {
            return Verdict.OUT;
        }
        boolean covered = cover.distance() <= settings.cover() + settings.slack() && enough;
        return covered && zone + settings.uncertainty() <= limit ? Verdict.WITHIN : Verdict.NOT_PROVEN;
    }

    /** Refuses what no plane can be judged from, in sentences that say what to give instead. */
    public static void check(Points points) {
        Problems problems = new Problems();
        boolean enough = problems.require(
                points.size() >= FEWEST,
                "points",
                "face.flatness-needs-at-least-four-points",
                points.size() == 1 ? Message.of("face.is-1") : Message.of("face.are", points.size()));
        for (int i = 0; i < points.size() && problems.none(); i++) {
            boolean near = Math.abs(points.x(i)) < FURTHEST_MM
                    && Math.abs(points.y(i)) < FURTHEST_MM
                    && Math.abs(points.z(i)) < FURTHEST_MM;
            problems.require(near, "points[" + i + "]", "face.points-is-too-far-away-to-be-on-a", i);
        }
        if (enough && problems.none()) {
            checkPlaces(points, problems);
        }
        problems.throwIfAny();
    }

    private static void checkPlaces(Points points, Problems problems) {
        record Place(double x, double y) {}
        Map<Place, Integer> seen = new HashMap<>(points.size() * 2);
        for (int i = 0; i < points.size(); i++) {
            Integer first = seen.putIfAbsent(new Place(points.x(i) + 0.0, points.y(i) + 0.0), i);
            boolean twice = first != null && points.z(first) != points.z(i);
            if (twice) {
                problems.require(false, "points[" + i + "]", "face.points-is-the-same-place-as-points-with", i, first);
                return;
            }
        }
        problems.require(!points.onOneLine(), "points", "face.all-points-lie-on-one-line-which-says");
    }
}
