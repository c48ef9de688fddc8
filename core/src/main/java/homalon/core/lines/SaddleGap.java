package homalon.core.lines;

import homalon.core.face.Gap;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;

/**
 * What blades said under a straightedge in one saddle, on one side of it or on both. A shaft lies on the higher side of a saddle
 * that stands askew, so that the smaller gap counts.
 *
 * @param sides one, or the front and the rear
 */
public record SaddleGap(List<Gap> sides) {
    public SaddleGap {
        sides = List.copyOf(sides);
        if (sides.isEmpty() || sides.size() > 2) {
            throw new IllegalArgumentException("a saddle has one or two sides");
        }
    }

    /**
     * A blade as it is keyed: {@code +} the limit blade goes, {@code -} it is refused, {@code 0.08-} or {@code +0.03} another one in
     * the hand.
     */
    public record Tried(Length blade, boolean goes) {
        /** @throws BadInputException when it is neither, with what to key instead */
        public static Tried parse(String typed, Length limit, BenchUnit unit) {
            String tidy = typed.strip().replace('\u2212', '-');
            boolean goes = tidy.startsWith("+") || tidy.endsWith("+");
            boolean refused = tidy.startsWith("-") || tidy.endsWith("-");
            String figure = tidy.replaceAll("^[-+]|[-+]$", "");
            boolean none = figure.matches("0*[.,]?0*") && !figure.isEmpty();
            if (goes == refused && !none) {
                throw new BadInputException("typed", "lines.key-when-the-limit-blade-goes-or-0-when");
            }
            Length blade = figure.isEmpty() || none ? limit : Length.parse(figure, unit);
            if (blade.signum() <= 0 || blade.mm() > 5) {
                throw new BadInputException("typed", "lines.a-blade-is-thicker-than-nothing-and");
            }
            return new Tried(blade, goes);
        }

        /** Added to what was tried before. */
        public Gap after(Gap before) {
            return goes ? before.went(blade) : before.refused(blade);
        }
    }

    /** True when every side was tried. */
    public boolean isTried() {
        return sides.stream().allMatch(Gap::isTried);
    }

    /**
     * As heights: a gap under the edge is a bore that stands low. Without a blade that is refused nothing says how low.
     *
     * @throws IllegalStateException before every side was tried
     */
    public ShaftLine.Between at(double at, double clearance) {
        if (!isTried()) {
            throw new IllegalStateException("tried on one side only");
        }
        double least = sides.stream()
                .mapToDouble(g -> g.goes().map(Length::mm).orElse(0.0))
                .min()
                .orElseThrow();
        double most = sides.stream()
                .mapToDouble(g -> g.refuses().map(Length::mm).orElse(Double.POSITIVE_INFINITY))
                .min()
                .orElseThrow();
        return new ShaftLine.Between(at, -most, -least, clearance);
    }

    /** True when a blade went in that is as thick as the limit, on either side. */
    public boolean goes(Length limit) {
        return sides.stream().flatMap(g -> g.goes().stream()).anyMatch(g -> g.compareTo(limit) >= 0);
    }

    /** By how much the two sides differ at the least: the saddle or its cap stands askew. Empty when nothing proves it. */
    public Optional<Length> askew() {
        if (sides.size() < 2) {
            return Optional.empty();
        }
        return apart(sides.get(0), sides.get(1)).or(() -> apart(sides.get(1), sides.get(0)));
    }

    private static Optional<Length> apart(Gap low, Gap high) {
        if (low.goes().isEmpty() || high.refuses().isEmpty()) {
            return Optional.empty();
        }
        Length by = low.goes().get().minus(high.refuses().get());
        return by.signum() > 0 ? Optional.of(by) : Optional.empty();
    }
}
