package homalon.app.check.face;

import homalon.app.casting.part.ChangeLine.What;
import homalon.app.casting.part.Changes;
import homalon.app.casting.part.Faces;
import homalon.core.face.PlaceProposal;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which places of a face are read: added, moved, left out and taken in again. */
@Service
@Transactional
@RequiredArgsConstructor
public class SurveyPlaces {
    private final Surveys readings;
    private final SurveyRepository surveys;
    private final PlaceRepository places;
    private final Faces faces;
    private final Findings findings;
    private final Changes changes;

    /** Added at once where somebody wants several. */
    private static final int SEVERAL = 4;

    /**
     * Adds several places more, those that leave least open together with what is read and what is still to be.
     *
     * @return the first of them
     */
    public Optional<UUID> addSeveral(PartFile part, SurveyKind kind, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        List<SurveyFile.PlaceFile> all = survey.places();
        Points have = Points.of(
                all.stream().mapToDouble(p -> p.spot().x()).toArray(),
                all.stream().mapToDouble(p -> p.spot().y()).toArray(),
                new double[all.size()]);
        UUID first = null;
        for (Spot s : findings.more(part, kind, have, SEVERAL)) {
            UUID added = add(part, kind, s, by);
            first = first == null ? added : first;
        }
        return Optional.ofNullable(first);
    }

    /** Adds a place near the one wanted, on the nearest metal. */
    public UUID add(PartFile part, SurveyKind kind, Spot wanted, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        if (survey.places().size() >= PlaceProposal.MOST) {
            throw new BadInputException(
                    "place", "app.face.places-are-the-most-for-keying-drop-one", PlaceProposal.MOST);
        }
        Layout layout = faces.layout(part.numbers());
        Spot spot = PlaceProposal.onMetal(layout, wanted)
                .orElseThrow(() -> new BadInputException("place", "app.face.there-is-no-metal-near-that-spot-to"));
        refuseTaken(survey, spot, null);
        int seq = 1 + survey.places().size() + survey.dropped().size();
        PlaceRow row = new PlaceRow(survey.id(), seq, PlaceNames.name(layout, spot), spot);
        places.save(row);
        changed(part, survey, What.PLACE_ADDED, row.name, by);
        surveys.changed(survey.id());
        return row.id;
    }

    /**
     * Moves a place that is not read. Where something was read and taken back, the place stays in the record where it was
     * and a new one takes its turn.
     *
     * @return the place that is walked to now
     */
    public UUID move(PartFile part, SurveyKind kind, UUID placeId, Spot spot, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        SurveyFile.PlaceFile place = Surveys.place(survey, placeId);
        if (place.reading().isPresent()) {
            throw new BadInputException("place", "app.face.this-place-was-read-where-it-is-take");
        }
        Layout layout = faces.layout(part.numbers());
        if (!LandRaster.clear(layout, spot, 0.5)) {
            throw new BadInputException("place", "app.face.that-is-not-on-the-land-drop-it-on");
        }
        refuseTaken(survey, spot, placeId);
        PlaceRow row = places.findById(placeId).orElseThrow();
        String name = PlaceNames.name(layout, spot);
        if (survey.history().stream().anyMatch(r -> r.place().equals(placeId))) {
            row.dropped = true;
            row = places.save(new PlaceRow(survey.id(), place.seq(), name, spot));
            row.sealing = place.sealing();
        } else {
            row.put(spot);
            row.name = name;
        }
        changed(part, survey, What.PLACE_MOVED, place.name() + " to " + name, by);
        surveys.changed(survey.id());
        return row.id;
    }

    private static void refuseTaken(SurveyFile survey, Spot spot, UUID but) {
        boolean taken = survey.places().stream()
                .anyMatch(p -> !p.id().equals(but) && p.spot().distance(spot) < 1);
        if (taken) {
            throw new BadInputException("place", "app.face.there-is-a-place-already-within-a");
        }
    }

    /** Leaves a place out; its readings stay in the record. */
    public void drop(PartFile part, SurveyKind kind, UUID placeId, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        SurveyFile.PlaceFile place = Surveys.place(survey, placeId);
        if (survey.places().size() <= PlaceProposal.FEWEST) {
            throw new BadInputException("place", "app.face.four-places-are-the-least-that-tell");
        }
        places.findById(placeId).orElseThrow().dropped = true;
        changed(part, survey, What.PLACE_DROPPED, place.name(), by);
        surveys.changed(survey.id());
    }

    /** Takes a dropped place in again. */
    public void restore(PartFile part, SurveyKind kind, UUID placeId, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        SurveyFile.PlaceFile place = survey.dropped().stream()
                .filter(p -> p.id().equals(placeId))
                .findFirst()
                .orElseThrow(() -> new BadInputException("place", "app.face.that-place-is-in-the-survey-nothing-to"));
        refuseTaken(survey, place.spot(), placeId);
        places.findById(placeId).orElseThrow().dropped = false;
        changed(part, survey, What.PLACE_BROUGHT_BACK, place.name(), by);
        surveys.changed(survey.id());
    }

    /** Says whether a place counts for the verdict. */
    public void setSealing(PartFile part, SurveyKind kind, UUID placeId, boolean sealing, UUID by) {
        SurveyFile survey = readings.open(part, kind);
        SurveyFile.PlaceFile place = Surveys.place(survey, placeId);
        places.findById(placeId).orElseThrow().sealing = sealing;
        changed(part, survey, sealing ? What.SEALS : What.DOES_NOT_SEAL, place.name(), by);
        surveys.changed(survey.id());
    }

    private void changed(PartFile part, SurveyFile survey, What what, String detail, UUID by) {
        changes.write(part.visit().id(), what, survey.kind().path() + ": " + detail, by);
    }
}
