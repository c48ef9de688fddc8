package homalon.bench;

import java.util.List;

/** Chances that were said against what was so: one a face, at a moment of its walk that is drawn, so that long walks do not count more. */
final class ChancesSaid {
    private static final double[] EDGES = {
        0, 0.001, 0.003, 0.01, 0.03, 0.1, 0.2, 0.35, 0.5, 0.65, 0.8, 0.9, 0.97, 0.99, 1.0001
    };

    private ChancesSaid() {}

    /**
     * @param ratio of what was so to the limit
     * @param chances of being out, as they were said one after another
     */
    record Walk(double ratio, double[] chances) {
        double drawn() {
            return chances[(int) (Math.abs(Double.hashCode(ratio) % 1000) / 1000.0 * chances.length)];
        }
    }

    static void print(List<Walk> walks) {
        System.out.println("| said | faces | meant | happened |");
        for (int b = 0; b + 1 < EDGES.length; b++) {
            double from = EDGES[b];
            double to = EDGES[b + 1];
            List<Walk> here = walks.stream()
                    .filter(w -> w.chances().length > 0 && w.drawn() >= from && w.drawn() < to)
                    .toList();
            System.out.printf(
                    "| %.3f to %.3f | %d | %.4f | %.4f |%n",
                    from,
                    to,
                    here.size(),
                    here.stream().mapToDouble(Walk::drawn).average().orElse(0),
                    here.stream()
                            .mapToDouble(w -> w.ratio() > 1 ? 1 : 0)
                            .average()
                            .orElse(0));
        }
    }
}
