package homalon.app.machining.valves;

import homalon.app.foundation.web.Workings;
import homalon.core.visit.Said;
import java.util.List;

/**
 * The page on which valves are measured.
 *
 * @param drawing the face with its valves
 * @param table every valve with what was read of it
 * @param walk places of the walk in hand
 * @param walks all walks with how far they are
 * @param next the walk that comes after; empty after the last
 * @param here what the valve that was read last has to say
 */
record ValveView(
        String drawing,
        String table,
        String walk,
        List<WalkTab> walks,
        String next,
        String style,
        String words,
        String sentence,
        List<Said> here,
        boolean complete,
        long revision) {
    /** @param count {@code 12 of 16} */
    record WalkTab(String name, String words, String count, boolean current, boolean done) {}

    /** One valve with its aspects and workings. */
    record Said(String name, List<Row> rows, Workings workings) {}

    record Row(String name, String value, String note, String style) {}
}
