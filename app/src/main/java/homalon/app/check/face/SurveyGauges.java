package homalon.app.check.face;

import homalon.app.foundation.store.EvidenceLog;
import homalon.app.shop.instruments.Hands;
import homalon.core.gauge.Closing;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.InstrumentKind;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.visit.PartFile;
import homalon.core.visit.ReadWith;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What surveys were read with: instruments taken in hand, and the first place read once more. */
@Component
@RequiredArgsConstructor
class SurveyGauges {
    private final Hands hands;
    private final ClosingRepository closings;
    private final SurveyRepository surveys;
    private final EvidenceLog log;
    private final SurveyCorrections corrections;

    /** Lines of some surveys, to be put together with what each of them read. */
    record Lines(
            Map<Hands.Step, List<ReadWith.Taken>> taken,
            Map<UUID, ClosingRow> closed,
            Map<UUID, Corrections> corrections) {
        ReadWith of(SurveyRow row, List<Instant> readings) {
            Length keyed = Length.ofNanometres(row.uncertainty);
            List<ReadWith.Taken> own = taken.getOrDefault(new Hands.Step(row.jobId, row.kind.path()), List.of());
            ReadWith open = ReadWith.of(keyed, own, readings, Optional.empty());
            Corrections known = corrections.getOrDefault(row.id, Corrections.NONE);
            Optional<Closing> closing = Optional.ofNullable(closed.get(row.id))
                    .map(c -> new Closing(
                                    c.first().mm(), c.again().mm(), open.kept().mm())
                            .seen(known));
            return ReadWith.of(keyed, own, readings, closing).with(known);
        }
    }

    @Transactional(readOnly = true)
    public Lines lines(Collection<SurveyRow> rows) {
        Map<UUID, ClosingRow> closed = new HashMap<>();
        List<UUID> ids = rows.stream().map(r -> r.id).toList();
        closings.findBySurveyInOrderBySeq(ids).forEach(c -> closed.put(c.survey(), c));
        return new Lines(hands.taken(rows.stream().map(r -> r.jobId).distinct().toList()), closed, corrections.of(ids));
    }

    /**
     * From now on it is in hand.
     *
     * @param code blank to put away what is in hand of that kind
     * @throws BadInputException when nothing of that kind reads such a survey, or there is none of that code
     */
    void take(PartFile part, SurveyFile survey, InstrumentKind kind, String code, UUID by) {
        if (!survey.kind().instruments().contains(kind)) {
            throw new BadInputException("code", "app.instruments.no-such", code);
        }
        hands.take(part, survey.kind().path(), kind, code, by);
        surveys.changed(survey.id());
    }

    /**
     * The first place that was read, once more.
     *
     * @param id made by the page, so that the same sent twice is kept once
     * @throws BadInputException when what was keyed is no reading, or nothing was read yet
     */
    void close(SurveyFile survey, UUID id, String typed, BenchUnit unit, UUID by) {
        if (log.find(ClosingRow.class, id).isPresent()) {
            return;
        }
        SurveyFile.PlaceFile first = first(survey)
                .orElseThrow(() -> new BadInputException("again", "app.face.nothing-was-read-yet-to-read-again"));
        Length again = Length.parse(typed, unit);
        log.add(new ClosingRow(id, survey.id(), first.id(), first.value(), again, typed.strip(), unit, by));
        surveys.changed(survey.id());
    }

    /** Where the survey begins: the first of its places that was read. */
    static Optional<SurveyFile.PlaceFile> first(SurveyFile survey) {
        return survey.kind() == SurveyKind.FACE || survey.kind() == SurveyKind.PROOF
                ? survey.readPlaces().stream().findFirst()
                : Optional.empty();
    }
}
