package homalon.core.visit;

import homalon.core.gauge.Corrections;
import homalon.core.geometry.Points;
import homalon.core.geometry.Spot;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.rulebook.Soak;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A survey as it stands.
 *
 * @param with what it was read with
 * @param places in the order in which the hand goes
 * @param dropped places that were left out; what was read there stays in the history
 * @param history every reading ever keyed, in order
 * @param soak temperatures while it was read, when they were noted
 * @param revision goes up with every change of places and readings, so that two states can be told apart
 */
public record SurveyFile(
        UUID id,
        UUID visit,
        SurveyKind kind,
        ReadWith with,
        UUID startedBy,
        Instant startedAt,
        List<PlaceFile> places,
        List<PlaceFile> dropped,
        List<ReadingFile> history,
        Optional<Soak> soak,
        long revision) {

    /** A place and what counts there. */
    public record PlaceFile(UUID id, int seq, String name, Spot spot, boolean sealing, Optional<ReadingFile> reading) {
        /** Keyed, not merely skipped. */
        public boolean isRead() {
            return reading.filter(r -> r.value().isPresent()).isPresent();
        }

        public boolean isSkipped() {
            return reading.isPresent() && !isRead();
        }

        PlaceFile of(Length other) {
            return new PlaceFile(id, seq, name, spot, sealing, reading.map(r -> r.of(other)));
        }

        public Length value() {
            return reading.flatMap(ReadingFile::value).orElseThrow();
        }
    }

    /**
     * A line of the survey.
     *
     * @param stands false once it was taken back or another reading took its place
     */
    public record ReadingFile(
            long seq,
            UUID id,
            UUID place,
            String placeName,
            Kind kind,
            String typed,
            BenchUnit unit,
            Optional<Length> value,
            Optional<UUID> withdraws,
            UUID by,
            Instant at,
            boolean stands) {
        /** What was done at a place. */
        public enum Kind {
            KEYED,
            SKIPPED,
            /** Takes a line back. */
            WITHDRAWN
        }

        ReadingFile of(Length other) {
            return new ReadingFile(
                    seq, id, place, placeName, kind, typed, unit, Optional.of(other), withdraws, by, at, stands);
        }

        /** The same line once another one took its place. */
        public ReadingFile superseded() {
            return new ReadingFile(seq, id, place, placeName, kind, typed, unit, value, withdraws, by, at, false);
        }
    }

    /** The same read with something else. */
    public SurveyFile with(ReadWith other) {
        return new SurveyFile(id, visit, kind, other, startedBy, startedAt, places, dropped, history, soak, revision);
    }

    /** What is kept on both sides of each limit. */
    public Length uncertainty() {
        return with.kept();
    }

    public int read() {
        return (int) places.stream().filter(PlaceFile::isRead).count();
    }

    public int handled() {
        return (int) places.stream().filter(p -> p.reading().isPresent()).count();
    }

    public boolean complete() {
        return !places.isEmpty() && handled() == places.size() && read() > 0;
    }

    /** As they were keyed. */
    public List<PlaceFile> readPlaces() {
        return places.stream().filter(PlaceFile::isRead).toList();
    }

    /** Places that were read, each with what its reading says once the angle of the indicator and warmth are taken off. */
    public List<PlaceFile> corrected() {
        List<PlaceFile> read = readPlaces();
        return with.corrections().none()
                ? read
                : read.stream().map(p -> p.of(corrected(p))).toList();
    }

    /** What the reading of a place says once the angle of the indicator and warmth are taken off. */
    public Length corrected(PlaceFile place) {
        Corrections known = with.corrections();
        double read = place.value().mm();
        return known.none()
                ? place.value()
                : Length.roundedFromMm(
                        kind.ofHeights()
                                ? known.height(place.spot().x(), place.spot().y(), read)
                                : known.size(read));
    }

    /** Whether a line was kept here, whatever became of it since. */
    public boolean holds(UUID line) {
        return history.stream().anyMatch(r -> r.id().equals(line));
    }

    /** Heights of the places given, in mm. */
    public static Points points(List<PlaceFile> places) {
        List<double[]> rows = new ArrayList<>();
        for (PlaceFile p : places) {
            rows.add(new double[] {p.spot().x(), p.spot().y(), p.value().mm()});
        }
        return Points.of(rows.toArray(double[][]::new));
    }
}
