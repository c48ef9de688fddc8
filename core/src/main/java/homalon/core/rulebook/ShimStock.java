package homalon.core.rulebook;

import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What may be laid under a casting: jacks or ground shims in steps of one size, or the leaves that a shop has, of which a few
 * are stacked. Heights in millimetres or exact lengths, zero or more; equal by value.
 */
public final class ShimStock {
    /** More leaves than this spring under the weight. */
    public static final int MOST_IN_A_STACK = 4;

    private static final int MOST_LEAVES = 24;
    private static final double SLACK = 1e-7;

    private final Length step;
    private final List<Length> leaves;
    /** Heights that the leaves make, nm, lowest first; empty for steps. */
    private final long[] heights;
    /** The leaf laid last in the stack with the fewest leaves, by height, nm. */
    private final Map<Long, Long> last;

    private ShimStock(Length step, List<Length> leaves) {
        this.step = step;
        this.leaves = leaves;
        this.last = new HashMap<>();
        List<Long> made = new ArrayList<>(List.of(0L));
        List<Long> before = List.of(0L);
        for (int n = 0; n < MOST_IN_A_STACK && !leaves.isEmpty(); n++) {
            List<Long> now = new ArrayList<>();
            for (long height : before) {
                for (Length leaf : leaves) {
                    long sum = height + leaf.nanometres();
                    if (last.putIfAbsent(sum, leaf.nanometres()) == null) {
                        now.add(sum);
                    }
                }
            }
            made.addAll(now);
            before = now;
        }
        this.heights = made.stream().mapToLong(Long::longValue).sorted().toArray();
    }

    /** @throws BadInputException when the step is not above zero */
    public static ShimStock inSteps(Length step) {
        if (step.signum() <= 0 || step.mm() > 5) {
            throw new BadInputException("shims", "rulebook.shims-key-the-step-as-a-thickness-above");
        }
        return new ShimStock(step, List.of());
    }

    /** @throws BadInputException when there are none or more than 24, or one is no shim */
    public static ShimStock ofLeaves(List<Length> leaves) {
        List<Length> sorted = leaves.stream().distinct().sorted().toList();
        if (sorted.isEmpty() || sorted.size() > MOST_LEAVES) {
            throw new BadInputException("shims", "rulebook.shims-key-1-to-24-different-thicknesses");
        }
        if (sorted.get(0).signum() <= 0 || sorted.get(sorted.size() - 1).mm() > 20) {
            throw new BadInputException("shims", "rulebook.shims-a-shim-is-thicker-than-nothing");
        }
        return new ShimStock(sorted.get(0), sorted);
    }

    /** The step, or the thinnest leaf. */
    public Length step() {
        return step;
    }

    /** Thinnest first; empty for a stock in steps. */
    public List<Length> leaves() {
        return leaves;
    }

    public boolean inSteps() {
        return leaves.isEmpty();
    }

    /** The height nearest to the one wanted that can be laid, mm; the highest stack where none is high enough. */
    public double nearest(double wanted) {
        if (inSteps()) {
            return Math.max(0, Math.rint(wanted / step.mm()) * step.mm());
        }
        double nm = wanted * 1e6;
        int at = Arrays.binarySearch(heights, Math.round(nm));
        int above = Math.min(heights.length - 1, at >= 0 ? at : -at - 1);
        int below = Math.max(0, above - 1);
        return (nm - heights[below] <= heights[above] - nm ? heights[below] : heights[above]) / 1e6;
    }

    /** The greatest height that can be laid and is no more than the one wanted, mm: what is brought up without lifting. */
    public double atMost(double wanted) {
        if (inSteps()) {
            return Math.max(0, Math.floor(wanted / step.mm() + SLACK) * step.mm());
        }
        double best = 0;
        for (long height : heights) {
            best = height <= wanted * 1e6 + 1 ? height / 1e6 : best;
        }
        return best;
    }

    /** Leaves to lay for a height, thickest first; empty for a stock in steps, for nothing, and for what they do not make. */
    public List<Length> stack(Length height) {
        List<Length> stack = new ArrayList<>();
        long left = height.nanometres();
        while (left > 0 && last.containsKey(left)) {
            long leaf = last.get(left);
            stack.add(Length.ofNanometres(leaf));
            left -= leaf;
        }
        stack.sort(Comparator.reverseOrder());
        return left == 0 ? List.copyOf(stack) : List.of();
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof ShimStock that && that.step.equals(step) && that.leaves.equals(leaves);
    }

    @Override
    public int hashCode() {
        return 31 * step.hashCode() + leaves.hashCode();
    }

    @Override
    public String toString() {
        return inSteps() ? "steps of " + step : "leaves " + leaves;
    }
}
