package homalon.app.machining.valves;

import homalon.app.foundation.web.Workings;
import java.util.List;

/**
 * The page on which seats are planned and made.
 *
 * @param picture the seat in hand, cut open before and after; empty until both edges are read
 * @param ways by stone and by form cutter, what each takes
 */
record SeatView(
        String map,
        List<Row> rows,
        Picked picked,
        String state,
        String picture,
        String caption,
        String style,
        String words,
        String sentence,
        List<Way> ways,
        List<ValveView.Row> figures,
        List<ValveView.Row> after,
        Workings workings,
        String uneven,
        String unevenSays,
        String refaced,
        String toCome,
        String done) {
    /** One seat in the table of the head. */
    record Row(
            String key,
            String needs,
            String sink,
            String extra,
            String recession,
            String afterSeat,
            String afterCut,
            String cc,
            String state,
            String style) {}

    record Way(String name, String words, String sink, String says, boolean chosen) {}
}
