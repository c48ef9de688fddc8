package homalon.app.check.lines;

import homalon.app.foundation.web.Workings;
import java.util.List;

/**
 * A sheet ready to be shown.
 *
 * @param pictures drawings with their captions
 * @param walk the list of places, as the page holds it
 * @param rows its figures
 * @param links what may be done with it elsewhere
 * @param trims what to take off which liner, for the list that goes to the machine
 */
record SheetView(
        String style,
        String words,
        String sentence,
        List<Picture> pictures,
        List<Row> rows,
        List<String> trims,
        List<Link> links,
        Workings workings,
        String walk,
        boolean complete,
        long revision) {
    record Picture(String caption, String note, String svg) {}

    record Link(String words, String href) {}

    record Row(String name, String value, String note, String style) {}
}
