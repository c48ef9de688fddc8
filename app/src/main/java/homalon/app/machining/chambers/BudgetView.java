package homalon.app.machining.chambers;

import homalon.app.foundation.web.WorkingView;
import homalon.app.foundation.web.Workings;
import java.util.List;

/**
 * What may come off, and what a cut brings with it, ready to be shown.
 *
 * @param bars the budgets, drawn
 * @param workings every sum
 * @param bowls of the pistons against a class; empty where none asks for one
 * @param missing what has to be keyed or measured before more can be said
 */
record BudgetView(
        String style,
        String words,
        String sentence,
        String bars,
        List<Limit> limits,
        String missing,
        List<Cylinder> cylinders,
        boolean staged,
        boolean seated,
        List<String> gasket,
        List<Brings> brings,
        Equal equal,
        List<Bowl> bowls,
        String bowlsSay,
        Workings workings,
        List<String> report) {

    /** One limit in figures. */
    record Limit(
            String name,
            String limit,
            String source,
            String now,
            String after,
            String left,
            String state,
            String style) {}

    /**
     * One cylinder.
     *
     * @param off over its rim by this cut
     * @param filled ratio as its chamber was filled first; empty where it holds the same now
     * @param seats ratio with seat work as planned; empty where none is
     */
    record Cylinder(
            String name,
            String volume,
            String basis,
            String off,
            String after,
            String filled,
            String now,
            String seats,
            String then) {}

    record Brings(String title, String style, String drawing, String says, String advice, WorkingView working) {}

    /** @param words what it comes to; empty without chambers */
    record Equal(String words, String style, List<Share> rows) {}

    /**
     * One piston's bowl.
     *
     * @param holds as filled; empty while nobody did
     * @param deeper to be milled; empty where nothing is, or nobody can say yet
     */
    record Bowl(String name, String holds, String stands, String style, String deeper) {}

    record Share(String name, String lacks, String how, String minutes) {}
}
