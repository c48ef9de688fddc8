package homalon.app.check.face;

import homalon.app.casting.part.ChangeLine.What;
import homalon.app.casting.part.Changes;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.web.ReadTransaction;
import homalon.core.face.OddReading;
import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.BookDefaults;
import homalon.core.rulebook.Soak;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was read on a face: readings keyed, skipped and taken back. */
@Service
@Transactional
@RequiredArgsConstructor
public class Surveys {
    private static final Length MOST_HEIGHT = Length.ofMm("20");
    private static final Length MOST_SIZE = Length.ofMm("2000");

    private final Changes changes;
    private final SurveyRepository surveys;
    private final EvidenceLog log;
    private final SurveyFiles files;
    private final ReadTransaction reading;
    private final BeforeCutGuard before;

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

    /**
     * @param named whoever keyed here meanwhile; asked for only then
     * @throws BadInputException when what was keyed is no reading, with what to key instead
     */
    public Outcome key(PartFile part, SurveyKind kind, Keyed keyed, Function<UUID, String> named, UUID by) {
        SurveyFile survey;
        SurveyFile.PlaceFile place;
        try {
            survey = open(part, kind);
            place = place(survey, keyed.placeId());
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
        if (!keyed.skips()) {
            value = Optional.of(read(keyed, kind));
        }
        Optional<Outcome.Asks> question = question(
                        survey, place, keyed, value, part.rules().books(), named, by)
                .or(() -> keyed.sure()
                        ? Optional.empty()
                        : before.asks(part, kind, place, new LengthWriter(keyed.unit()))
                                .map(s -> new Outcome.Asks(s, 0)));
        if (question.isPresent()) {
            return question.get();
        }
        ReadingRow row = ReadingRow.keyed(keyed.id(), place.id(), value, keyed.tidy(), keyed.unit(), by);
        log.add(row);
        files.advance(survey, row);
        return new Outcome.Kept();
    }

    private static Length read(Keyed keyed, SurveyKind kind) {
        Length value = Length.parse(keyed.typed(), keyed.unit());
        Length most = kind.ofHeights() ? MOST_HEIGHT : MOST_SIZE;
        if (value.abs().compareTo(most) > 0) {
            throw new BadInputException(
                    "typed",
                    "app.face.is-more-than-any-face-is-out-check-the",
                    keyed.tidy(),
                    new LengthWriter(keyed.unit()).full(value));
        }
        if (!kind.ofHeights() && value.signum() <= 0) {
            throw new BadInputException("typed", "app.face.a-thickness-is-more-than-nothing-key");
        }
        return value;
    }

    private static Optional<Outcome.Asks> question(
            SurveyFile survey,
            SurveyFile.PlaceFile place,
            Keyed keyed,
            Optional<Length> value,
            BookDefaults shop,
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
                && OddReading.asks(value.get().mm(), others, survey.kind().ofHeights(), shop)) {
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
        last.ifPresent(r -> log.add(ReadingRow.takingBack(id, r, by)));
        return last.map(SurveyFile.ReadingFile::place);
    }

    /** Notes how warm part and room were; noted again, the later one counts. */
    public void note(PartFile part, SurveyKind kind, Soak soak, UUID by) {
        SurveyFile survey = open(part, kind);
        SurveyRow row = surveys.findById(survey.id()).orElseThrow();
        row.partTemperature = decidegrees(soak.part());
        row.roomTemperature = decidegrees(soak.room());
        changed(part, survey, What.SOAK, "part " + soak.part() + " °C, room " + soak.room() + " °C", by);
        surveys.changed(survey.id());
    }

    private static int decidegrees(BigDecimal degrees) {
        return degrees.movePointRight(1).setScale(0, RoundingMode.HALF_UP).intValueExact();
    }

    private void changed(PartFile part, SurveyFile survey, What what, String detail, UUID by) {
        changes.write(part.visit().id(), what, survey.kind().path() + ": " + detail, by);
    }

    SurveyFile open(PartFile part, SurveyKind kind) {
        part.requireHere("survey", "to measure it");
        return surveys.locked(part.visit().id(), kind)
                .map(row -> files.of(List.of(row)).get(0))
                .orElseThrow(() -> new BadInputException("survey", "app.face.this-survey-was-not-started-start-it"));
    }

    static SurveyFile.PlaceFile place(SurveyFile survey, UUID id) {
        return survey.places().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new BadInputException("place", "app.face.that-place-is-no-longer-in-this-survey"));
    }
}
