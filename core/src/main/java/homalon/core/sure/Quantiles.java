package homalon.core.sure;

import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Shares of weighted figures. */
final class Quantiles {
    private final double[] values;
    private final double[] weights;
    private final List<Integer> order;
    private final double all;

    /** @param weights of each value, above zero together */
    Quantiles(double[] values, double[] weights) {
        this.values = values;
        this.weights = weights;
        this.order = IntStream.range(0, values.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> values[i]))
                .toList();
        this.all =
                IntStream.range(0, weights.length).mapToDouble(i -> weights[i]).sum();
    }

    /** The least value that so great a share of the weight does not exceed. */
    double at(double share) {
        double passed = 0;
        for (int i : order) {
            passed += weights[i];
            if (passed >= share * all) {
                return values[i];
            }
        }
        return values[order.get(order.size() - 1)];
    }
}
