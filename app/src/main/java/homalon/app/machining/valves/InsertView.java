package homalon.app.machining.valves;

import homalon.app.foundation.web.Workings;
import homalon.core.visit.PlaceLine;
import java.util.List;
import java.util.Map;

/**
 * The page on which inserts are chosen and fitted.
 *
 * @param typed what stands in the form of the place, by field
 * @param damage lines of the form, with one to fill; as are neighbours
 * @param others the casting's other valves
 * @param why in words: which is chosen, or what stops the step-up
 * @param after what is owed and what to do once it is in
 */
record InsertView(
        String map,
        Picked picked,
        String state,
        String style,
        String words,
        String why,
        Map<String, String> typed,
        List<PlaceLine> damage,
        List<PlaceLine> neighbours,
        List<String> others,
        String bore,
        String curve,
        List<Step> steps,
        String chosen,
        boolean chosenPasses,
        List<ValveView.Row> figures,
        Workings workings,
        List<String> after,
        String usualHeat,
        String done) {
    /** @param broken rules it breaks, in words */
    record Step(
            String code,
            String words,
            String outer,
            String cutTo,
            String press,
            boolean passes,
            boolean first,
            List<Rule> rules,
            String broken,
            int shelf) {}

    record Rule(String words, boolean holds, String says) {}
}
