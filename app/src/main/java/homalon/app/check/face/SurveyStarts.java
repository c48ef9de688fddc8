package homalon.app.check.face;

import homalon.core.face.PlaceProposal;
import homalon.core.gauge.InstrumentKind;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Starts a survey with the places that are proposed for it. */
@Service
@Transactional
@RequiredArgsConstructor
public class SurveyStarts {
    private final Surveys readings;
    private final SurveyRepository surveys;
    private final PlaceRepository places;
    private final FaceModels models;
    private final Findings findings;
    private final SurveyGauges gauges;
    private final Clock clock;

    /** Starts a survey, or gives the one that was started before. */
    public SurveyFile start(
            PartFile part, SurveyKind kind, PlaceProposal.Density density, Length uncertainty, UUID by) {
        if (uncertainty.signum() < 0 || uncertainty.mm() > 0.1) {
            throw new BadInputException("uncertainty", "app.face.instruments-uncertainty-key-from-0-to-0");
        }
        part.requireHere("survey", "to measure it");
        Optional<SurveyFile> begun = readings.find(part, kind);
        if (begun.isPresent()) {
            return begun.get();
        }
        return begin(part, kind, proposed(part, kind, density), uncertainty, by);
    }

    /** The same with what is in hand, by code. */
    public SurveyFile start(
            PartFile part,
            SurveyKind kind,
            PlaceProposal.Density density,
            Length uncertainty,
            Map<InstrumentKind, String> inHand,
            UUID by) {
        boolean begun = readings.find(part, kind).isPresent();
        SurveyFile survey = start(part, kind, density, uncertainty, by);
        if (!begun) {
            inHand.forEach((instrument, code) -> gauges.take(part, survey, instrument, code, by));
        }
        return survey;
    }

    /**
     * Starts one with places of the hand's own, in the order in which they come.
     *
     * @param at on metal, mm
     * @throws BadInputException when they are too few or too many, lie beside the metal, or two lie within a millimetre
     */
    public SurveyFile startAt(PartFile part, SurveyKind kind, List<Spot> at, Length uncertainty, UUID by) {
        part.requireHere("survey", "to measure it");
        Layout layout = Layout.of(part.numbers());
        if (at.size() < PlaceProposal.FEWEST || at.size() > PlaceProposal.MOST) {
            throw new BadInputException(
                    "place", "app.face.a-survey-has-so-many-places", PlaceProposal.FEWEST, PlaceProposal.MOST);
        }
        for (int i = 0; i < at.size(); i++) {
            Spot spot = at.get(i);
            String where = spot.x() + ", " + spot.y();
            if (!LandRaster.clear(layout, spot, 0.5)) {
                throw new BadInputException("place", "app.face.is-not-on-the-metal-of-this-face", where);
            }
            if (at.subList(0, i).stream().anyMatch(o -> o.distance(spot) < 1)) {
                throw new BadInputException("place", "app.face.another-place-lies-within-a-millimetre", where);
            }
        }
        List<PlaceProposal.Place> places = at.stream()
                .map(s -> new PlaceProposal.Place(PlaceNames.name(layout, s), s))
                .toList();
        return begin(part, kind, places, uncertainty, by);
    }

    private SurveyFile begin(
            PartFile part, SurveyKind kind, List<PlaceProposal.Place> proposed, Length uncertainty, UUID by) {
        SurveyRow row = new SurveyRow(part.visit().id(), kind, uncertainty.nanometres(), by, clock.instant());
        surveys.save(row);
        if (kind.ofHeights()) {
            models.begin(part, kind, by);
        }
        int seq = 0;
        for (PlaceProposal.Place place : proposed) {
            places.save(new PlaceRow(row.id, ++seq, place.name(), place.spot()));
        }
        return readings.find(part, kind).orElseThrow();
    }

    /** Places that a survey opens with: after the cut one reads where one read before it; a thickness at the corners. */
    @Transactional(readOnly = true)
    public List<PlaceProposal.Place> proposed(PartFile part, SurveyKind kind, PlaceProposal.Density density) {
        PlaceProposal.Density otherwise = kind.ofHeights() ? density : PlaceProposal.Density.CORNERS;
        Optional<SurveyFile> before = switch (kind) {
            case PROOF -> readings.find(part, SurveyKind.FACE);
            case THICKNESS_AFTER -> readings.find(part, SurveyKind.THICKNESS);
            case FACE, THICKNESS -> Optional.empty();
        };
        return before.map(s -> s.places().stream()
                        .map(p -> new PlaceProposal.Place(p.name(), p.spot()))
                        .toList())
                .orElseGet(() -> findings.walk(part, kind, otherwise));
    }
}
