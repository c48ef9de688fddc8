package homalon.app.foundation.web;

import homalon.app.foundation.drawing.Markup;
import homalon.core.quantity.LengthWriter;
import homalon.core.verdict.Working;
import java.util.List;

/**
 * The workings under a page's figures, in the figures' order. They are written here, not by the template engine: up to a hundred
 * lines come with every reading, and its way of writing them would take longer than their sums.
 */
public record Workings(List<WorkingView> all) {
    public static final Workings NONE = new Workings(List.of());

    public static Workings of(List<Working> workings, LengthWriter writer) {
        return new Workings(
                workings.stream().map(w -> WorkingView.of(w, writer)).toList());
    }

    public boolean isEmpty() {
        return all.isEmpty();
    }

    public String html() {
        Markup html = new Markup();
        for (WorkingView w : all) {
            html.open("div", "class", "working")
                    .open("h3", "class", "text-lg")
                    .text(w.title())
                    .close("h3")
                    .open("ol");
            w.lines().forEach(l -> html.open("li").text(l).close("li"));
            html.close("ol").close("div");
        }
        return html.toString();
    }
}
