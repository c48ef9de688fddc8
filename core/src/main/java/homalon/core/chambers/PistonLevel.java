package homalon.core.chambers;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * Pistons at top dead centre against each other. Decks are cut flat and rods are made alike, so that pistons stand level; one that
 * stands low has most often a bent rod, one that stands high another rod, piston or bearing.
 *
 * @param spread between the highest and the lowest, mm
 * @param odd those that stand apart, by cylinder
 */
public record PistonLevel(double spread, List<Odd> odd) {
    /** @param below the median of the others, mm; negative: above it */
    public record Odd(int cylinder, double below) {
        public Message words() {
            return Message.of(
                    below > 0 ? "chambers.piston-stands-low" : "chambers.piston-stands-high",
                    cylinder,
                    new Message.Mm(Math.abs(below)));
        }
    }

    /**
     * Each is held against the median of all others, so that one bent rod does not make the straight ones look odd.
     *
     * @param below the deck at top dead centre, by cylinder, mm; + below it
     * @param most standing further apart than this is odd, mm
     */
    public static PistonLevel of(Map<Integer, Double> below, double most) {
        List<Odd> odd = new ArrayList<>();
        new TreeMap<>(below).forEach((cylinder, here) -> {
            List<Double> others = below.entrySet().stream()
                    .filter(e -> !e.getKey().equals(cylinder))
                    .map(Map.Entry::getValue)
                    .sorted()
                    .toList();
            if (!others.isEmpty()) {
                double apart = here - median(others);
                // Of two nobody knows which is right: the lower one is named, since a rod bends shorter and never
                // longer.
                if (Math.abs(apart) > most + 1e-9 && (others.size() > 1 || apart > 0)) {
                    odd.add(new Odd(cylinder, apart));
                }
            }
        });
        double spread = below.size() < 2
                ? 0
                : below.values().stream().mapToDouble(d -> d).max().orElseThrow()
                        - below.values().stream().mapToDouble(d -> d).min().orElseThrow();
        return new PistonLevel(spread, List.copyOf(odd));
    }

    private static double median(List<Double> sorted) {
        int n = sorted.size();
        return (sorted.get((n - 1) / 2) + sorted.get(n / 2)) / 2;
    }
}
