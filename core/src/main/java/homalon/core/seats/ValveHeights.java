package homalon.core.seats;

import homalon.core.input.Problems;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Valves of a head brought to one height: all of a kind to the deepest one's recession. Millimetres, + deeper below the face.
 */
public record ValveHeights(List<One> each) {
    /**
     * A valve before.
     *
     * @param recession below the face as found
     * @param sink what its seat plan needs at the least
     * @param made its seat is to be made: it can be sunk further; another stays where it is
     */
    public record Valve(String name, boolean exhaust, double recession, double sink, boolean made) {}

    /**
     * A valve after.
     *
     * @param target deepest of its kind
     * @param extra to sink beyond what its own seat needs, to stand level
     * @param after recession when seats are done
     * @param afterCut recession when the face is cut too
     */
    public record One(String name, double target, double extra, double after, double afterCut) {}

    /**
     * @param apart how far those of a kind may stay from the deepest
     * @param faceCut what the face loses after the heights were read: every valve comes up by as much relative to it
     * @param offset exhaust deeper than intake by this, where the maker says so
     */
    public static ValveHeights of(List<Valve> valves, double apart, double faceCut, OptionalDouble offset) {
        Problems problems = new Problems();
        problems.require(apart >= 0 && apart <= 1, "apart", "seats.apart-key-0-to-1-mm");
        problems.require(faceCut >= 0 && faceCut <= 10, "faceCut", "seats.the-faces-cut-lies-between-0-and-10-mm");
        problems.throwIfAny();
        double intake = deepest(valves, false);
        double exhaust = deepest(valves, true);
        if (offset.isPresent() && intake > Double.NEGATIVE_INFINITY && exhaust > Double.NEGATIVE_INFINITY) {
            intake = Math.max(intake, exhaust - offset.getAsDouble());
            exhaust = intake + offset.getAsDouble();
        }
        List<One> each = new ArrayList<>();
        for (Valve v : valves) {
            double target = v.exhaust() ? exhaust : intake;
            double own = v.recession() + v.sink();
            double extra = Math.max(0, target - apart - own);
            double after = v.made() ? own + extra : own;
            each.add(new One(v.name(), target, extra < 1e-9 ? 0 : extra, after, after - faceCut));
        }
        return new ValveHeights(List.copyOf(each));
    }

    private static double deepest(List<Valve> valves, boolean exhaust) {
        return valves.stream()
                .filter(v -> v.exhaust() == exhaust)
                .mapToDouble(v -> v.recession() + v.sink())
                .max()
                .orElse(Double.NEGATIVE_INFINITY);
    }
}
