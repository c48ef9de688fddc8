package homalon.app.check.face;

import homalon.app.casting.part.Changes;
import homalon.app.casting.part.Faces;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.OneRead;
import homalon.core.face.OddReading;
import homalon.core.face.PlaceProposal;
import homalon.core.face.PlacesWanted;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.part.LandRaster;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.RuleBook;
import homalon.core.rulebook.Soak;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps surveys: places proposed and changed, readings keyed, skipped and taken back. */
@Service
@Transactional
@RequiredArgsConstructor
public class Surveys {
    private static final Length MOST_HEIGHT = Length.ofMm("20");
    private static final Length MOST_SIZE = Length.ofMm("2000");

    private final Changes changes;
    private final SurveyRepository surveys;
    private final PlaceRepository places;
    private final EvidenceLog log;
    private final SurveyFiles files;
    private final Faces faces;
    private final OneRead reading;
    private final BeforeTheCut before;
    private final Clock clock;

    /**
     * What is keyed at a place.
     *
     * @param id made by the browser, so that a repeat stores once
     * @param seen number of the last line that the browser knew at this place, 0 for none
     * @param sure true when the person was asked about the value and keyed Enter again
     */
    public record Keyed(UUID id, UUID place, String typed, BenchUnit unit, long seen, boolean sure) {}

    /** How a reading fared. */
    public sealed interface Outcome {
        /** Stored, now or before. */
        record Kept() implements Outcome {}

        /**
         * Not stored: the person is asked first.
         *
         * @param seen number of the line that somebody else keyed there meanwhile; 0 where the value itself is odd
         */
        record Asks(String sentence, long seen) implements Outcome {}
    }

    @Transactional(readOnly = true)
    public Optional<SurveyFile> find(PartFile part, SurveyKind kind) {
        return ofVisits(List.of(part.visit().id())).stream()
                .filter(s -> s.kind() == kind)
                .findFirst();
    }

    /** All surveys of the visits given. */
    @Transactional(readOnly = true)
    public List<SurveyFile> ofVisits(Collection<UUID> visits) {
        return reading.once(new OfVisits(List.copyOf(visits)), () -> files.of(surveys.ofVisits(visits)));
    }

    private record OfVisits(List<UUID> visits) {}

    @Transactional(readOnly = true)
    public boolean hasReadings(PartFile part) {
        return ofVisits(List.of(part.visit().id())).stream().anyMatch(s -> s.read() > 0);
    }

    /** Starts a survey, or gives the one that was started before. */
    public SurveyFile start(
            PartFile part, SurveyKind kind, PlaceProposal.Density density, Length uncertainty, UUID by) {
        if (uncertainty.signum() < 0 || uncertainty.mm() > 0.1) {
            throw new BadInputException(
                    "uncertainty", "Instrument's uncertainty: key from 0 to 0.1 mm (3.9 thou), such as 0.002 mm.");
        }
        part.requireHere("survey", "to measure it");
        Optional<SurveyFile> begun = find(part, kind);
        if (begun.isPresent()) {
            return begun.get();
        }
        List<PlaceProposal.Place> proposed = proposed(part, kind, density);
        SurveyRow row = new SurveyRow(part.visit().id(), kind, uncertainty.nanometres(), by, clock.instant());
        surveys.save(row);
        int seq = 0;
        for (PlaceProposal.Place place : proposed) {
            places.save(new PlaceRow(row.id, ++seq, place.name(), place.spot()));
        }
        return find(part, kind).orElseThrow();
    }

    /** Places that a survey opens with: after the cut one reads where one read before it; a thickness at the corners. */
    @Transactional(readOnly = true)
    public List<PlaceProposal.Place> proposed(PartFile part, SurveyKind kind, PlaceProposal.Density density) {
        Layout layout = faces.layout(part.numbers());
        PlaceProposal.Density otherwise = kind.ofHeights() ? density : PlaceProposal.Density.CORNERS;
        Optional<SurveyFile> before = switch (kind) {
            case PROOF -> find(part, SurveyKind.FACE);
            case THICKNESS_AFTER -> find(part, SurveyKind.THICKNESS);
            case FACE, THICKNESS -> Optional.empty();
        };
        return before.map(s -> s.places().stream()
                        .map(p -> new PlaceProposal.Place(p.name(), p.spot()))
                        .toList())
                .orElseGet(() -> otherwise == PlaceProposal.Density.PROVING
                        ? PlaceProposal.proving(layout, part.limits(), RuleBook.DEFAULT_COVER.mm())
                        : PlaceProposal.of(layout, otherwise));
    }

    /**
     * @param named whoever keyed here meanwhile; asked for only then
     * @throws BadInputException when what was keyed is no reading, with what to key instead
     */
    public Outcome key(PartFile part, SurveyKind kind, Keyed keyed, Function<UUID, String> named, UUID by) {
        SurveyFile survey;
        SurveyFile.PlaceFile place;
        try {
            survey = open(part, kind);
            place = place(survey, keyed.place());
        } catch (BadInputException e) {
            // Sent once more after its answer was lost, and the part has left or come again since: it is kept all the
            // same.
            if (log.find(ReadingRow.class, keyed.id()).isPresent()) {
                return new Outcome.Kept();
            }
            throw e;
        }
        if (survey.holds(keyed.id())) {
            return new Outcome.Kept();
        }
        Optional<Length> value = Optional.empty();
        if (!keyed.typed().strip().equals("/")) {
            value = Optional.of(read(keyed, kind));
        }
        Optional<Outcome.Asks> question = question(survey, place, keyed, value, named, by)
                .or(() -> keyed.sure()
                        ? Optional.empty()
                        : before.asks(part, kind, place, new LengthWriter(keyed.unit()))
                                .map(s -> new Outcome.Asks(s, 0)));
        if (question.isPresent()) {
            return question.get();
        }
        ReadingRow row =
                ReadingRow.keyed(keyed.id(), place.id(), value, keyed.typed().strip(), keyed.unit(), by);
        write(survey, row);
        files.advance(survey, row);
        return new Outcome.Kept();
    }

    private void write(SurveyFile survey, ReadingRow row) {
        log.add(row);
        surveys.changed(survey.id());
    }

    private static Length read(Keyed keyed, SurveyKind kind) {
        Length value = Length.parse(keyed.typed(), keyed.unit());
        Length most = kind.ofHeights() ? MOST_HEIGHT : MOST_SIZE;
        if (value.abs().compareTo(most) > 0) {
            throw new BadInputException(
                    "typed",
                    "“" + keyed.typed().strip() + "” is " + new LengthWriter(keyed.unit()).full(value)
                            + ", more than any face is out: check the decimal point and the unit.");
        }
        if (!kind.ofHeights() && value.signum() <= 0) {
            throw new BadInputException("typed", "A thickness is more than nothing: key what the micrometer says.");
        }
        return value;
    }

    private static Optional<Outcome.Asks> question(
            SurveyFile survey,
            SurveyFile.PlaceFile place,
            Keyed keyed,
            Optional<Length> value,
            Function<UUID, String> named,
            UUID by) {
        LengthWriter writer = new LengthWriter(keyed.unit());
        Optional<SurveyFile.ReadingFile> now = place.reading();
        if (now.isPresent() && now.get().seq() > keyed.seen() && !now.get().by().equals(by)) {
            String what = now.get().value().map(writer::signed).orElse("a skip");
            return Optional.of(new Outcome.Asks(
                    named.apply(now.get().by()) + " keyed " + what
                            + " here meanwhile. Press Enter again to put yours in its place, or Escape to leave it.",
                    now.get().seq()));
        }
        double[] others = survey.readPlaces().stream()
                .filter(p -> !p.id().equals(place.id()))
                .mapToDouble(p -> p.value().mm())
                .toArray();
        if (!keyed.sure()
                && value.isPresent()
                && OddReading.asks(value.get().mm(), others, survey.kind().ofHeights())) {
            return Optional.of(new Outcome.Asks(
                    writer.full(value.get())
                            + " is far from the other places. Press Enter again to keep it, or key it anew.",
                    0));
        }
        return Optional.empty();
    }

    /** Takes back the last reading of this person that stands in the survey; empty when there is none. */
    public Optional<UUID> undo(PartFile part, SurveyKind kind, UUID id, UUID by) {
        SurveyFile survey = open(part, kind);
        Optional<ReadingRow> before = log.find(ReadingRow.class, id);
        if (before.isPresent()) {
            return before.map(ReadingRow::place);
        }
        List<SurveyFile.PlaceFile> own = survey.places().stream()
                .filter(p -> p.reading().filter(r -> r.by().equals(by)).isPresent())
                .toList();
        Optional<SurveyFile.ReadingFile> last = own.stream()
                .map(p -> p.reading().orElseThrow())
                .max(Comparator.comparingLong(SurveyFile.ReadingFile::seq));
        last.ifPresent(r -> write(survey, ReadingRow.takingBack(id, r, by)));
        return last.map(SurveyFile.ReadingFile::place);
    }

    /**
     * Adds the places that the limits in force lack, one after the other.
     *
     * @return the first of them
     */
    public Optional<UUID> addWanted(PartFile part, SurveyKind kind, UUID by) {
        SurveyFile survey = open(part, kind);
        List<Spot> have =
                survey.places().stream().map(SurveyFile.PlaceFile::spot).toList();
        Layout layout = faces.layout(part.numbers());
        UUID first = null;
        for (Spot s : PlacesWanted.missing(layout, have, part.limits(), RuleBook.DEFAULT_COVER.mm())) {
            UUID added = add(part, kind, s, by);
            first = first == null ? added : first;
        }
        return Optional.ofNullable(first);
    }

    /** Adds a place near the one wanted, on the nearest metal. */
    public UUID add(PartFile part, SurveyKind kind, Spot wanted, UUID by) {
        SurveyFile survey = open(part, kind);
        if (survey.places().size() >= PlaceProposal.MOST) {
            throw new BadInputException(
                    "place", PlaceProposal.MOST + " places are the most for keying: drop one first.");
        }
        Layout layout = faces.layout(part.numbers());
        Spot spot = PlaceProposal.onMetal(layout, wanted)
                .orElseThrow(() -> new BadInputException(
                        "place", "There is no metal near that spot to stand an indicator on: choose one on the land."));
        refuseTaken(survey, spot, null);
        int seq = 1 + survey.places().size() + survey.dropped().size();
        PlaceRow row = new PlaceRow(survey.id(), seq, PlaceNames.name(layout, spot), spot);
        places.save(row);
        changed(part, survey, "PLACE_ADDED", row.name, by);
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
        SurveyFile survey = open(part, kind);
        SurveyFile.PlaceFile place = place(survey, placeId);
        if (place.reading().isPresent()) {
            throw new BadInputException(
                    "place",
                    "This place was read where it is: take the reading back before you move it, or add another.");
        }
        Layout layout = faces.layout(part.numbers());
        if (!LandRaster.clear(layout, spot, 0.5)) {
            throw new BadInputException(
                    "place", "That is not on the land: drop it on metal, clear of holes and edges.");
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
        changed(part, survey, "PLACE_MOVED", place.name() + " to " + name, by);
        surveys.changed(survey.id());
        return row.id;
    }

    private static void refuseTaken(SurveyFile survey, Spot spot, UUID but) {
        boolean taken = survey.places().stream()
                .anyMatch(p -> !p.id().equals(but) && p.spot().distance(spot) < 1);
        if (taken) {
            throw new BadInputException("place", "There is a place already within a millimetre: choose another spot.");
        }
    }

    /** Leaves a place out; its readings stay in the record. */
    public void drop(PartFile part, SurveyKind kind, UUID placeId, UUID by) {
        SurveyFile survey = open(part, kind);
        SurveyFile.PlaceFile place = place(survey, placeId);
        if (survey.places().size() <= PlaceProposal.FEWEST) {
            throw new BadInputException(
                    "place", "Four places are the least that tell anything: add one before you drop one.");
        }
        places.findById(placeId).orElseThrow().dropped = true;
        changed(part, survey, "PLACE_DROPPED", place.name(), by);
        surveys.changed(survey.id());
    }

    /** Takes a dropped place in again. */
    public void restore(PartFile part, SurveyKind kind, UUID placeId, UUID by) {
        SurveyFile survey = open(part, kind);
        SurveyFile.PlaceFile place = survey.dropped().stream()
                .filter(p -> p.id().equals(placeId))
                .findFirst()
                .orElseThrow(
                        () -> new BadInputException("place", "That place is in the survey: nothing to bring back."));
        refuseTaken(survey, place.spot(), placeId);
        places.findById(placeId).orElseThrow().dropped = false;
        changed(part, survey, "PLACE_BROUGHT_BACK", place.name(), by);
        surveys.changed(survey.id());
    }

    /** Says whether a place counts for the verdict. */
    public void setSealing(PartFile part, SurveyKind kind, UUID placeId, boolean sealing, UUID by) {
        SurveyFile survey = open(part, kind);
        SurveyFile.PlaceFile place = place(survey, placeId);
        places.findById(placeId).orElseThrow().sealing = sealing;
        changed(part, survey, sealing ? "SEALS" : "DOES_NOT_SEAL", place.name(), by);
        surveys.changed(survey.id());
    }

    /** Notes how warm part and room were; noted again, the later one counts. */
    public void note(PartFile part, SurveyKind kind, Soak soak, UUID by) {
        SurveyFile survey = open(part, kind);
        SurveyRow row = surveys.findById(survey.id()).orElseThrow();
        row.partTemperature = decidegrees(soak.part());
        row.roomTemperature = decidegrees(soak.room());
        changed(part, survey, "SOAK", "part " + soak.part() + " °C, room " + soak.room() + " °C", by);
        surveys.changed(survey.id());
    }

    private static int decidegrees(BigDecimal degrees) {
        return degrees.movePointRight(1).setScale(0, RoundingMode.HALF_UP).intValueExact();
    }

    private void changed(PartFile part, SurveyFile survey, String what, String detail, UUID by) {
        changes.write(part.visit().id(), what, survey.kind().path() + ": " + detail, by);
    }

    private SurveyFile open(PartFile part, SurveyKind kind) {
        part.requireHere("survey", "to measure it");
        return surveys.locked(part.visit().id(), kind)
                .map(row -> files.of(List.of(row)).get(0))
                .orElseThrow(() -> new BadInputException("survey", "This survey was not started: start it first."));
    }

    private static SurveyFile.PlaceFile place(SurveyFile survey, UUID id) {
        return survey.places().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new BadInputException(
                        "place", "That place is no longer in this survey: go on with another one."));
    }
}
