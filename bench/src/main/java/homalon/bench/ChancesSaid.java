package homalon.bench;

import java.util.Arrays;
import java.util.List;

/**
 * Chances that were said against what was so. Every chance of every walk counts: what is known when it is said decides nothing of whether
 * it is counted. One a face would not do: a walk is short because of what its face is, so that the first chances of those that are soon proven
 * out would be drawn oftener.
 */
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
        double[] within(double from, double to) {
            return Arrays.stream(chances).filter(c -> c >= from && c < to).toArray();
        }

        double out() {
            return ratio > 1 ? 1 : 0;
        }
    }

    static void print(List<Walk> walks) {
        System.out.println("| said | chances | of faces | meant | happened |");
        for (int b = 0; b + 1 < EDGES.length; b++) {
            double from = EDGES[b];
            double to = EDGES[b + 1];
            int chances = 0;
            int faces = 0;
            double meant = 0;
            double happened = 0;
            for (Walk walk : walks) {
                double[] here = walk.within(from, to);
                chances += here.length;
                faces += here.length > 0 ? 1 : 0;
                meant += Arrays.stream(here).sum();
                happened += walk.out() * here.length;
            }
            int count = Math.max(1, chances);
            System.out.printf(
                    "| %.3f to %.3f | %d | %d | %.4f | %.4f |%n",
                    from, to, chances, faces, meant / count, happened / count);
        }
    }
}
