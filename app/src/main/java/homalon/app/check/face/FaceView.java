package homalon.app.check.face;

import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.drawing.Markup;
import homalon.app.foundation.drawing.ProfileDrawing;
import homalon.app.foundation.web.Workings;
import homalon.core.visit.SurveyFile;
import java.util.List;
import java.util.Optional;

/**
 * A survey ready to be shown: every figure written in the reader's unit.
 *
 * @param picture of the face
 * @param section along the middle; empty without a map
 * @param legend steps of the map's colours, lowest first
 * @param labels what the figures on the drawing are
 * @param setUps what each way to set it up would take to clean it, as it stands; empty without a shape
 * @param walk the list of places, as the page holds it
 * @param causes what the shape may come from, once all places are read
 * @param awaited whether the chance that it is out between its places is worked out while this is shown already
 * @param settled whether no further reading is needed for the verdict
 */
public record FaceView(
        SurveyFile survey,
        FaceDrawing picture,
        Optional<ProfileDrawing> section,
        List<Legend> legend,
        String labels,
        Headline headline,
        List<Row> rows,
        List<ToClean> setUps,
        WalkList walk,
        Workings workings,
        List<Cause> causes,
        boolean hasSuggestion,
        double suggestX,
        double suggestY,
        String suggestName,
        boolean awaited,
        boolean settled) {

    /** One colour of the map and the height where it begins. */
    public record Legend(String style, String from, boolean hatched) {}

    /** The verdict in words, then the sentence under it. */
    public record Headline(String style, String words, String sentence) {}

    /** A way to set it up, and the depth that cleans it so; a dash where it cannot be said. */
    public record ToClean(String name, String depth) {}

    /**
     * What the shape may come from.
     *
     * @param from figures and words that it was drawn from
     */
    public record Cause(String words, String from) {}

    /** One figure. */
    public record Row(String name, String value, String note, String style) {}

    /**
     * The lists that come with every reading are written here: element by element the template engine would take longer over
     * them than the verdict takes.
     */
    public String figuresHtml() {
        Markup html = new Markup();
        for (Row r : rows) {
            html.open("tr", "class", r.style().isEmpty() ? null : r.style());
            html.open("th", "scope", "row").text(r.name()).close("th");
            html.open("td", "class", "value").text(r.value()).close("td");
            html.open("td", "class", "note").text(r.note()).close("td").close("tr");
        }
        return html.toString();
    }

    public String legendHtml() {
        Markup html = new Markup();
        for (Legend l : legend) {
            html.open("span")
                    .open("i", "class", l.style() + (l.hatched() ? " hatched" : ""))
                    .close("i");
            html.text(l.from()).close("span");
        }
        return html.toString();
    }

    public String setUpsHtml() {
        Markup html = new Markup();
        for (ToClean s : setUps) {
            html.open("span").open("b", "class", "font-mono").text(s.depth()).close("b");
            html.text(" " + s.name()).close("span");
        }
        return html.toString();
    }

    public int handled() {
        return survey.handled();
    }

    public int total() {
        return survey.places().size();
    }

    public boolean complete() {
        return survey.complete();
    }
}
