package homalon.app.check.face;

import homalon.app.foundation.memory.Memory;
import homalon.app.foundation.memory.Question;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.geometry.Spot;
import homalon.core.rulebook.Soak;
import homalon.core.visit.SurveyFile;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Puts a survey together from its rows: what stands at each place, and everything ever keyed there. */
@Component
@RequiredArgsConstructor
class SurveyFiles {
    private final PlaceRepository places;
    private final ReadingRepository readings;
    private final SurveyGauges gauges;
    private final Memory memory;

    /** Each survey at the revision at which it was last wanted; earlier ones are nobody's any more. */
    private record Survey(UUID id) implements Question<SurveyFile> {}

    /** Places and readings are read from the store once for each revision of a survey. */
    List<SurveyFile> of(List<SurveyRow> rows) {
        Map<UUID, SurveyFile> files = new HashMap<>();
        rows.forEach(row -> memory.at(new Survey(row.id), row.revision).ifPresent(file -> files.put(row.id, file)));
        List<SurveyRow> unknown =
                rows.stream().filter(r -> !files.containsKey(r.id)).toList();
        if (!unknown.isEmpty()) {
            List<UUID> ids = unknown.stream().map(r -> r.id).toList();
            Map<UUID, List<PlaceRow>> bySurvey =
                    places.ofSurveys(ids).stream().collect(Collectors.groupingBy(p -> p.surveyId));
            Map<UUID, List<ReadingRow>> byPlace =
                    readings.ofSurveys(ids).stream().collect(Collectors.groupingBy(ReadingRow::place));
            SurveyGauges.Lines read = gauges.lines(unknown);
            for (SurveyRow row : unknown) {
                SurveyFile file = file(row, bySurvey.getOrDefault(row.id, List.of()), byPlace, read);
                files.put(row.id, memory.keep(new Survey(row.id), row.revision, file));
            }
        }
        return rows.stream().map(r -> files.get(r.id)).toList();
    }

    /**
     * Remembers what a survey becomes by one more reading, once that is committed: sixty places and all that was ever keyed at
     * them need not be read back for the one line just written.
     *
     * @param before as it stood under the lock in which the line was written
     */
    void advance(SurveyFile before, ReadingRow row) {
        if (before.with().changed()) {
            // What a reading was read with may no longer be in hand: all of it is read again.
            return;
        }
        SurveyFile after = after(before, row);
        memory.becomes(new Survey(after.id()), after.revision(), after);
    }

    private static SurveyFile after(SurveyFile before, ReadingRow row) {
        List<SurveyFile.ReadingFile> history = new ArrayList<>();
        for (SurveyFile.ReadingFile r : before.history()) {
            history.add(r.place().equals(row.place()) && r.stands() ? r.superseded() : r);
        }
        List<SurveyFile.PlaceFile> places = new ArrayList<>();
        for (SurveyFile.PlaceFile p : before.places()) {
            if (p.id().equals(row.place())) {
                SurveyFile.ReadingFile reading = row.file(p.name(), true);
                history.add(reading);
                places.add(new SurveyFile.PlaceFile(
                        p.id(), p.seq(), p.name(), p.spot(), p.sealing(), Optional.of(reading)));
            } else {
                places.add(p);
            }
        }
        return new SurveyFile(
                before.id(),
                before.visit(),
                before.kind(),
                before.with(),
                before.startedBy(),
                before.startedAt(),
                List.copyOf(places),
                before.dropped(),
                List.copyOf(history),
                before.soak(),
                before.revision() + 1);
    }

    private static SurveyFile file(
            SurveyRow row, List<PlaceRow> rows, Map<UUID, List<ReadingRow>> byPlace, SurveyGauges.Lines read) {
        List<SurveyFile.PlaceFile> kept = new ArrayList<>();
        List<SurveyFile.PlaceFile> dropped = new ArrayList<>();
        List<SurveyFile.ReadingFile> history = new ArrayList<>();
        for (PlaceRow p : rows) {
            List<ReadingRow> lines = byPlace.getOrDefault(p.id, List.of());
            UUID current = EvidenceLog.standing(lines).stream()
                    .reduce((a, b) -> b)
                    .map(ReadingRow::id)
                    .orElse(null);
            List<SurveyFile.ReadingFile> files = lines.stream()
                    .map(r -> r.file(p.name, r.id().equals(current)))
                    .toList();
            history.addAll(files);
            (p.dropped ? dropped : kept).add(place(p, files));
        }
        history.sort(Comparator.comparingLong(SurveyFile.ReadingFile::seq));
        return new SurveyFile(
                row.id,
                row.jobId,
                row.kind,
                read.of(
                        row,
                        history.stream()
                                .filter(SurveyFile.ReadingFile::stands)
                                .map(SurveyFile.ReadingFile::at)
                                .toList()),
                row.startedBy,
                row.startedAt,
                List.copyOf(kept),
                List.copyOf(dropped),
                List.copyOf(history),
                soak(row),
                row.revision);
    }

    private static SurveyFile.PlaceFile place(PlaceRow p, List<SurveyFile.ReadingFile> files) {
        Optional<SurveyFile.ReadingFile> current =
                files.stream().filter(SurveyFile.ReadingFile::stands).findFirst();
        return new SurveyFile.PlaceFile(p.id, p.seq, p.name, new Spot(p.x / 1e6, p.y / 1e6), p.sealing, current);
    }

    private static Optional<Soak> soak(SurveyRow row) {
        return Optional.ofNullable(row.partTemperature)
                .map(part -> new Soak(BigDecimal.valueOf(part, 1), BigDecimal.valueOf(row.roomTemperature, 1)));
    }
}
