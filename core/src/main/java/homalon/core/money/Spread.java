package homalon.core.money;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.TreeMap;

/**
 * What risks may add, with how often: all that they can come to, or many draws where they are too many for that.
 *
 * @param steps what they come to, the least first, none twice; their chances are 1 in sum
 * @param worst what they add where all of them come
 * @param exact whether it is all there is, and not drawn
 */
public record Spread(List<Step> steps, long worst, boolean exact) {
    /** So many risks are counted out; more are drawn. */
    public static final int COUNTED = 15;

    private static final int DRAWS = 20_000;
    private static final long SEED = 20_261_202L;
    /** Chances are sums of many; what is missing of one by that alone is none missing. */
    private static final double SLIP = 1e-9;

    /** @param amount in the smallest coin, or in minutes */
    public record Step(long amount, double chance) {}

    /**
     * What comes or does not.
     *
     * @param with risks of one name come together: of two that hang together the likelier comes wherever the other does; empty for one that
     *     comes by itself
     * @param adds in the smallest coin, or in minutes
     */
    public record One(double chance, String with, long adds) {
        public One {
            if (!(chance >= 0 && chance <= 1)) {
                throw new IllegalArgumentException("a chance is from 0 to 1: " + chance);
            }
        }
    }

    public Spread {
        steps = List.copyOf(steps);
    }

    /** @param risks none at all add nothing for certain */
    public static Spread of(List<One> risks) {
        return risks.size() <= COUNTED ? counted(risks) : drawn(risks, DRAWS, SEED);
    }

    /** Those that hang together as one, the likeliest first. */
    private static List<List<One>> groups(List<One> risks) {
        Map<String, List<One>> by = new TreeMap<>();
        List<List<One>> all = new ArrayList<>();
        for (One risk : risks) {
            if (risk.with().isEmpty()) {
                all.add(List.of(risk));
            } else {
                by.computeIfAbsent(risk.with(), w -> new ArrayList<>()).add(risk);
            }
        }
        by.values()
                .forEach(g -> all.add(g.stream()
                        .sorted((a, b) -> Double.compare(b.chance(), a.chance()))
                        .toList()));
        return all;
    }

    static Spread counted(List<One> risks) {
        TreeMap<Long, Double> now = new TreeMap<>(Map.of(0L, 1.0));
        for (List<One> group : groups(risks)) {
            TreeMap<Long, Double> next = new TreeMap<>();
            long adds = 0;
            double atLeast = 1;
            for (int i = 0; i <= group.size(); i++) {
                double more = i < group.size() ? group.get(i).chance() : 0;
                double just = atLeast - more;
                if (just > 0) {
                    long sum = adds;
                    now.forEach((amount, chance) -> next.merge(amount + sum, chance * just, Double::sum));
                }
                atLeast = more;
                adds += i < group.size() ? group.get(i).adds() : 0;
            }
            now = next;
        }
        return of(now, risks, true);
    }

    static Spread drawn(List<One> risks, int draws, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<List<One>> groups = groups(risks);
        TreeMap<Long, Double> all = new TreeMap<>();
        for (int d = 0; d < draws; d++) {
            long sum = 0;
            for (List<One> group : groups) {
                double at = random.nextDouble();
                for (One risk : group) {
                    sum += at < risk.chance() ? risk.adds() : 0;
                }
            }
            all.merge(sum, 1.0 / draws, Double::sum);
        }
        return of(all, risks, false);
    }

    private static Spread of(TreeMap<Long, Double> all, List<One> risks, boolean exact) {
        List<Step> steps = new ArrayList<>();
        all.forEach((amount, chance) -> steps.add(new Step(amount, chance)));
        long worst =
                risks.stream().filter(r -> r.chance() > 0).mapToLong(One::adds).sum();
        return new Spread(steps, worst, exact);
    }

    /** What they add on average. */
    public double mean() {
        return steps.stream().mapToDouble(s -> s.amount() * s.chance()).sum();
    }

    /** The least that is not passed in so many of a hundred cases. */
    public long keptIn(int ofAHundred) {
        double sum = 0;
        for (Step step : steps) {
            sum += step.chance();
            if (sum >= ofAHundred / 100.0 - SLIP) {
                return step.amount();
            }
        }
        return worst;
    }
}
