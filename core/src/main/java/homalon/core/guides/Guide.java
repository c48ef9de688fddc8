package homalon.core.guides;

import homalon.core.input.Problems;
import java.util.Arrays;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.Stream;

/**
 * One guide and its stem as measured. A stem slides through the whole guide, so that what governs is the largest bore over the
 * smallest stem wherever each was found.
 *
 * @param clearanceLeast smallest bore less largest stem: where it would seize first
 * @param clearanceGoverning largest bore less smallest stem
 * @param wear largest bore less smallest
 * @param bellMouthTop mean of the top's two directions less that of the middle; + opens towards the spring; empty unless both are
 *     read
 * @param bellMouthBottom the same at the port
 * @param ovality largest difference of two directions at one place
 * @param ovalAcross true where the wider direction of that place lies across the rocker line: side load of the valve gear
 * @param ovalAt 0 top, 1 middle, 2 bottom: where the ovality is
 * @param oneEndOnly read at fewer than the three places: it is never called good
 */
public record Guide(
        double clearanceLeast,
        double clearanceGoverning,
        double wear,
        OptionalDouble bellMouthTop,
        OptionalDouble bellMouthBottom,
        double ovality,
        boolean ovalAcross,
        int ovalAt,
        boolean oneEndOnly) {
    private static final double SMALLEST = 1;
    private static final double LARGEST = 100;

    /**
     * @param stem diameters, 1 to 3, in any order
     * @param bore at top, middle, bottom: {along, across} the rocker line; or one place alone
     * @throws homalon.core.input.BadInputException for sizes that no stem or guide has, and for a stem that does not go in
     */
    public static Guide of(double[] stem, double[][] bore) {
        double[][] three = bore.length == 1 ? new double[][] {bore[0], null, null} : bore;
        if (bore.length == 2 || bore.length > 3) {
            Problems problems = new Problems();
            problems.require(false, "bore", "guides.a-guide-is-read-at-top-middle-and");
            problems.throwIfAny();
        }
        return ofSome(stem, three);
    }

    /**
     * The same with places that were not read left out.
     *
     * @param bore three places, each two diameters, or null where it was not read
     */
    public static Guide ofSome(double[] stem, double[][] bore) {
        check(stem, bore);
        double[] all = Stream.of(bore)
                .filter(b -> b != null)
                .flatMapToDouble(Arrays::stream)
                .toArray();
        double largest = DoubleStream.of(all).max().orElseThrow();
        double smallest = DoubleStream.of(all).min().orElseThrow();
        int at = -1;
        for (int i = 0; i < 3; i++) {
            if (bore[i] != null && (at < 0 || oval(bore[i]) > oval(bore[at]))) {
                at = i;
            }
        }
        return new Guide(
                smallest - DoubleStream.of(stem).max().orElseThrow(),
                largest - DoubleStream.of(stem).min().orElseThrow(),
                largest - smallest,
                mouth(bore[0], bore[1]),
                mouth(bore[2], bore[1]),
                oval(bore[at]),
                bore[at][1] > bore[at][0],
                at,
                Stream.of(bore).anyMatch(b -> b == null));
    }

    private static double oval(double[] pair) {
        return Math.abs(pair[0] - pair[1]);
    }

    private static OptionalDouble mouth(double[] end, double[] middle) {
        return end == null || middle == null
                ? OptionalDouble.empty()
                : OptionalDouble.of((end[0] + end[1]) / 2 - (middle[0] + middle[1]) / 2);
    }

    private static void check(double[] stem, double[][] bore) {
        Problems problems = new Problems();
        boolean stems = problems.require(
                stem.length >= 1 && stem.length <= 3 && DoubleStream.of(stem).allMatch(Guide::isSize),
                "stem",
                "guides.stem-key-1-to-3-diameters-of-1-to-100");
        boolean bores = problems.require(
                bore.length == 3
                        && Stream.of(bore).anyMatch(b -> b != null)
                        && Stream.of(bore)
                                .filter(b -> b != null)
                                .allMatch(
                                        b -> b.length == 2 && DoubleStream.of(b).allMatch(Guide::isSize)),
                "bore",
                "guides.guide-key-two-diameters-of-1-to-100-mm");
        if (stems && bores) {
            double thin = DoubleStream.of(stem).min().orElseThrow();
            problems.require(
                    Stream.of(bore)
                            .filter(b -> b != null)
                            .flatMapToDouble(Arrays::stream)
                            .allMatch(b -> b > thin),
                    "bore",
                    "guides.the-guide-is-smaller-than-its-stem-the");
        }
        problems.throwIfAny();
    }

    private static boolean isSize(double mm) {
        return mm >= SMALLEST && mm <= LARGEST;
    }
}
