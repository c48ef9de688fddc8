package homalon.app.cut;

import java.util.List;
import java.util.UUID;

/** The cutting log of a visit ready to be shown. */
public record CutView(
        String drawing,
        List<PlanView.Pass> passes,
        String total,
        String planned,
        String left,
        String share,
        String life,
        String lifeNote,
        boolean openingAsked,
        List<Line> lines,
        List<Walk> walk,
        String machine,
        String cutter,
        String edge,
        String headlineStyle,
        String headline,
        String sentence) {

    /** One line of the ledger. */
    public record Line(
            UUID id,
            String what,
            String depth,
            String running,
            String by,
            String at,
            String notes,
            String state,
            boolean reversible) {}

    /** One pass to key. */
    public record Walk(int index, String name, String state, String value, String planned) {}
}
