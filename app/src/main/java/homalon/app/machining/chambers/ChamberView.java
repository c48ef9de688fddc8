package homalon.app.machining.chambers;

import homalon.app.foundation.web.WorkingView;
import java.util.List;

/**
 * Chambers ready to be shown.
 *
 * @param drawing the face with every chamber's volume
 * @param burette the last reading, drawn
 * @param pistons that stand apart from the others, in words
 * @param states in which they were or can be filled
 * @param walk places of the walk in hand, as a list
 * @param next the walk after this one; empty for none
 */
record ChamberView(
        String drawing,
        String burette,
        String buretteWords,
        List<Row> rows,
        List<String> pistons,
        List<Tab> walks,
        List<Tab> states,
        String walkWords,
        String walkWith,
        String walk,
        String next,
        String style,
        String words,
        String sentence,
        List<Opening> openings,
        boolean complete,
        long revision) {

    /** @param volumes one for each state that was filled */
    record Row(
            String chamber,
            List<String> volumes,
            String apart,
            String piston,
            String crown,
            String note,
            boolean open) {}

    /** A link along the top. */
    record Tab(String key, String words, String count, boolean current, boolean done) {}

    record Opening(String chamber, String area, String way, WorkingView working) {}

    /** States of the columns of the table. */
    public List<String> columns() {
        return states.stream().filter(t -> !t.count().isEmpty()).map(Tab::words).toList();
    }
}
