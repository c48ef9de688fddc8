package homalon.app.check.face;

import homalon.app.foundation.web.WalkRows;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.SurveyFile;
import java.util.UUID;

/** The list of places that the keying walks along. */
public record WalkList(SurveyFile survey, LengthWriter writer) {

    /** Every place. */
    public String all() {
        WalkRows list = new WalkRows();
        int number = 0;
        for (SurveyFile.PlaceFile place : survey.places()) {
            row(list, place, ++number);
        }
        return list.html();
    }

    /** One place alone, for a page that holds the others already; nothing when it is not in the survey. */
    public String only(UUID id) {
        WalkRows list = new WalkRows();
        int number = 0;
        for (SurveyFile.PlaceFile place : survey.places()) {
            number++;
            if (place.id().equals(id)) {
                row(list, place, number);
            }
        }
        return list.html();
    }

    private void row(WalkRows list, SurveyFile.PlaceFile p, int number) {
        String value = "";
        if (p.isRead()) {
            value = survey.kind().ofHeights() ? writer.signed(p.value()) : writer.number(p.value());
        }
        WalkRows.Place place = new WalkRows.Place(
                p.id().toString(),
                p.name(),
                p.name(),
                p.sealing() ? "" : "does not seal",
                WalkRows.State.of(p.isRead() || p.isSkipped(), p.isSkipped()),
                value,
                p.reading().map(SurveyFile.ReadingFile::seq).orElse(0L));
        list.add(number, place, "x", p.spot().x(), "y", p.spot().y(), "sealing", p.sealing());
    }
}
