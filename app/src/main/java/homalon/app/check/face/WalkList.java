package homalon.app.check.face;

import homalon.app.foundation.drawing.Markup;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.SurveyFile;
import java.util.UUID;

/** The list of places that the keying walks along; sixty of them through the template engine would take longer than the verdict. */
public record WalkList(SurveyFile survey, LengthWriter writer) {

    /** Every place. */
    public String all() {
        Markup list = new Markup();
        int number = 0;
        for (SurveyFile.PlaceFile place : survey.places()) {
            row(list, place, ++number);
        }
        return list.toString();
    }

    /** One place alone, for a page that holds the others already; nothing when it is not in the survey. */
    public String only(UUID id) {
        Markup list = new Markup();
        int number = 0;
        for (SurveyFile.PlaceFile place : survey.places()) {
            number++;
            if (place.id().equals(id)) {
                row(list, place, number);
            }
        }
        return list.toString();
    }

    private void row(Markup list, SurveyFile.PlaceFile p, int number) {
        String state = p.isRead() ? "read" : p.isSkipped() ? "skipped" : "open";
        String value = "";
        if (p.isRead()) {
            value = survey.kind().ofHeights() ? writer.signed(p.value()) : writer.number(p.value());
        }
        list.open("li")
                .open(
                        "button",
                        "type",
                        "button",
                        "data-place",
                        p.id(),
                        "data-name",
                        p.name(),
                        "data-state",
                        state,
                        "data-value",
                        value,
                        "data-seen",
                        p.reading().map(SurveyFile.ReadingFile::seq).orElse(0L),
                        "data-x",
                        p.spot().x(),
                        "data-y",
                        p.spot().y(),
                        "data-sealing",
                        p.sealing());
        list.open("span").text(Integer.toString(number)).close("span");
        list.open("span").text(p.name());
        if (!p.sealing()) {
            list.open("span", "class", "text-soft").text(" · does not seal").close("span");
        }
        list.close("span").open("span", "class", "value");
        list.text(p.isRead() ? value : p.isSkipped() ? "skipped" : "not read").close("span");
        list.close("button").close("li");
    }
}
