package homalon.app.cut;

import java.util.List;

/** The comparison of set-ups ready to be shown. */
public record PlanView(List<Card> cards, String parallelMissing, Chosen chosen, String drawing, String notice) {

    /**
     * One set-up.
     *
     * @param key number key that chooses it
     * @param cost what it takes more than the least, in words
     * @param corners depth at each corner
     */
    public record Card(
            String school,
            String name,
            String meaning,
            int key,
            String depth,
            String shims,
            String rounding,
            String cost,
            String corners,
            String taper,
            String profile,
            boolean here) {}

    /** The set-up in hand with its passes. */
    public record Chosen(
            String school,
            String name,
            String toClean,
            String total,
            String unit,
            List<Pass> passes,
            String skim,
            String deepest,
            String finish,
            List<String> shims,
            boolean kept,
            boolean stale,
            List<String> working) {}

    /** A pass with the picture of what it is foretold to touch. */
    public record Pass(String name, String depth, String total, String share, String drawing, String state) {}
}
