package homalon.app.machining.cut;

import homalon.app.foundation.drawing.FaceDrawing;
import homalon.core.cut.PassPlan;
import java.util.List;

/** The comparison of set-ups ready to be shown. */
public record PlanView(
        List<Card> cards,
        boolean parallelMissing,
        Chosen chosen,
        String drawing,
        List<Support> supports,
        String tips,
        PassPlan passPlan) {

    /**
     * Where one support stands.
     *
     * @param along from the front end, as it would be keyed
     * @param across from the lower edge of the drawing
     * @param shim what goes on it, with the leaves to stack where the shop has leaves
     */
    public record Support(String name, String along, String across, String shim) {}

    /**
     * One set-up.
     *
     * @param key number key that chooses it
     * @param cost what it takes more than the least, in words
     */
    public record Card(
            String school,
            String name,
            int key,
            String depth,
            String shims,
            String rounding,
            String cost,
            String taper,
            String profile,
            boolean here) {}

    /**
     * The set-up in hand with its passes.
     *
     * @param atLeast wanted off in all, as it would be keyed; empty for no more than clean
     */
    public record Chosen(
            String school,
            String name,
            String meaning,
            String toClean,
            String total,
            String atLeast,
            List<Pass> passes,
            String skim,
            String deepest,
            String finish,
            List<String> upperCorners,
            List<String> bores,
            List<String> lowerCorners,
            boolean kept,
            boolean stale,
            List<String> working) {}

    /**
     * The depth that cleans it with what may lie between the places.
     *
     * @param likely as likely as not
     * @param mostly in 9 of 10 cases
     * @param keyed the same as it would be keyed
     */
    public record Spread(String likely, String mostly, String keyed) {}

    /** A pass with the picture of what it is expected to touch. */
    public record Pass(String name, String depth, String total, String share, FaceDrawing picture, String state) {}
}
