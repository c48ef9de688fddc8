package homalon.core.gauge;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.ToDoubleFunction;

/**
 * How uncertainty goes through a sum of independent figures: to first order (JCGM 100, 5.1.2), and by drawing where the sum bends or has a
 * corner within what is open (JCGM 101).
 */
public final class Propagation {
    private static final long SEED = 20_261_130L;
    private static final int DRAWS = 2000;
    /** Step of a slope, in standard uncertainties: a corner within one of them is seen by it. */
    private static final double STEP = 1;

    private Propagation() {}

    /**
     * A result and where its uncertainty comes from.
     *
     * @param result of the sum
     * @param parts what each figure adds to the standard uncertainty by itself, in the order of the figures
     */
    public record Propagated(Uncertain result, List<Double> parts) {
        public Propagated {
            parts = List.copyOf(parts);
        }

        /** Number of the figure that leaves most open. */
        public int most() {
            int most = 0;
            for (int i = 1; i < parts.size(); i++) {
                most = parts.get(i) > parts.get(most) ? i : most;
            }
            return most;
        }
    }

    private static double[] values(List<Uncertain> of) {
        return of.stream().mapToDouble(Uncertain::value).toArray();
    }

    /**
     * To first order: the slope of the sum in each figure, over one standard uncertainty to either side.
     *
     * @param figures that are independent of each other
     * @param sum of values in the order of the figures; finite about them
     */
    public static Propagated of(List<Uncertain> figures, ToDoubleFunction<double[]> sum) {
        double[] at = values(figures);
        double[] parts = new double[at.length];
        double squares = 0;
        for (int i = 0; i < at.length; i++) {
            double step = STEP * figures.get(i).standard();
            if (step > 0) {
                double[] up = at.clone();
                double[] down = at.clone();
                up[i] += step;
                down[i] -= step;
                parts[i] = Math.abs(sum.applyAsDouble(up) - sum.applyAsDouble(down)) / (2 * STEP);
                squares += parts[i] * parts[i];
            }
        }
        return new Propagated(
                new Uncertain(sum.applyAsDouble(at), Math.sqrt(squares)),
                Arrays.stream(parts).boxed().toList());
    }

    /**
     * By drawing each figure two thousand times: mean and standard deviation of the sum. The same figures give the same answer.
     *
     * @param figures normal, and independent of each other
     */
    public static Uncertain drawn(List<Uncertain> figures, ToDoubleFunction<double[]> sum) {
        Random random = new Random(SEED);
        double[] results = new double[DRAWS];
        for (int d = 0; d < DRAWS; d++) {
            double[] at = figures.stream()
                    .mapToDouble(f -> f.value() + f.standard() * random.nextGaussian())
                    .toArray();
            results[d] = sum.applyAsDouble(at);
        }
        double mean = Arrays.stream(results).average().orElseThrow();
        double variance =
                Arrays.stream(results).map(r -> (r - mean) * (r - mean)).sum() / (DRAWS - 1);
        return new Uncertain(mean, Math.sqrt(variance));
    }
}
