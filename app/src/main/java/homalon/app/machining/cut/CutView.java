package homalon.app.machining.cut;

import homalon.app.foundation.drawing.FaceDrawing;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** The cutting log of a visit ready to be shown. */
public record CutView(
        FaceDrawing picture,
        List<PlanView.Pass> passes,
        String total,
        String planned,
        String share,
        String life,
        String lifeNote,
        boolean openingAsked,
        List<Line> lines,
        List<Walk> walk,
        String machine,
        String cutter,
        String edge,
        Headline headline,
        Optional<Watch> watch,
        Optional<Corners> corners) {

    /**
     * Metal off at the corners.
     *
     * @param range of this visit, least to most
     */
    public record Corners(String range, List<Corner> each) {}

    public record Corner(String name, String visit, String life) {}

    /**
     * What was seen touched against what was expected; present once a pass is logged on a plan.
     *
     * @param painted false while nothing was painted after the last pass
     * @param style of the sentence: within, out or open
     * @param reasons why it may lag, likeliest first
     * @param maySign true when what is left lies off the sealing bands and nobody has signed for it
     */
    public record Watch(
            boolean painted, String style, String words, String sentence, List<String> reasons, boolean maySign) {}

    /** Where the cut stands, in words. */
    public record Headline(String style, String words, String sentence) {}

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

    /**
     * One pass to key.
     *
     * @param planned depth as it would be keyed, exact
     * @param shown the same as it is read
     */
    public record Walk(int index, String name, String state, String value, String planned, String shown) {}
}
