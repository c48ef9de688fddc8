package homalon.app.shop.instruments;

import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.web.NotHereException;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Repeatability;
import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Studies of gauges and hands: some people read some places some times, walked like any other survey. */
@Service
@Transactional
@RequiredArgsConstructor
public class Studies {
    private final StudyRepository studies;
    private final StudyReadingRepository readings;
    private final EvidenceLog log;
    private final Clock clock;

    /**
     * What is studied.
     *
     * @param hands names of those who read
     * @param width of the limit that it is held against, in the instrument's figures
     */
    public record Asked(List<String> hands, int places, int times, double width) {
        private static final int MOST_HANDS = 8;
        private static final int MOST_PLACES = 20;
        private static final int MOST_TIMES = 5;
        private static final int LONGEST = 40;

        /** @throws BadInputException with everything that is wrong about it */
        public Asked {
            hands = List.copyOf(hands);
            Problems problems = new Problems();
            problems.require(
                    !hands.isEmpty()
                            && hands.size() <= MOST_HANDS
                            && hands.stream().distinct().count() == hands.size()
                            && hands.stream().allMatch(h -> !h.isBlank() && h.length() <= LONGEST),
                    "hands",
                    "app.instruments.study-names-of-those-who-read",
                    MOST_HANDS);
            problems.require(
                    places >= 2 && places <= MOST_PLACES, "places", "app.instruments.study-places", MOST_PLACES);
            problems.require(times >= 2 && times <= MOST_TIMES, "times", "app.instruments.study-times", MOST_TIMES);
            problems.require(width > 0, "width", "app.instruments.study-limit-to-prove");
            problems.throwIfAny();
        }

        /** All that is to be read. */
        public int slots() {
            return hands.size() * places * times;
        }

        /** Each hand goes round all places before the next one does, and all of them once more for each time. */
        public String hand(int slot) {
            return hands.get(slot / places % hands.size());
        }

        /** From 0. */
        public int place(int slot) {
            return slot % places;
        }

        /** From 0. */
        public int time(int slot) {
            return slot / places / hands.size();
        }
    }

    /**
     * A study as it stands.
     *
     * @param read by slot: the line that stands there
     */
    public record Study(UUID id, UUID instrument, Asked asked, Map<Integer, Line> read, Instant startedAt, long seen) {
        public boolean complete() {
            return read.size() == asked.slots();
        }

        /** What comes of it, once all is read. */
        public Optional<Repeatability> result() {
            if (!complete()) {
                return Optional.empty();
            }
            double[][][] table = new double[asked.hands().size()][asked.places()][asked.times()];
            for (int slot = 0; slot < asked.slots(); slot++) {
                table[slot / asked.places() % asked.hands().size()][asked.place(slot)][asked.time(slot)] =
                        read.get(slot).value();
            }
            return Optional.of(Repeatability.of(table));
        }
    }

    /** A reading that stands. */
    public record Line(long seq, double value) {}

    /** @param id made by the page, so that the same sent twice begins one */
    public UUID begin(UUID id, UUID instrument, Asked asked, UUID by) {
        if (!studies.existsById(id)) {
            studies.save(new StudyRow(id, instrument, asked, by, clock.instant()));
        }
        return id;
    }

    @Transactional(readOnly = true)
    public List<Study> ofInstrument(UUID instrument) {
        return studies.findByInstrumentOrderByStartedAtDesc(instrument).stream()
                .map(this::study)
                .toList();
    }

    /** @throws NotHereException when there is none */
    @Transactional(readOnly = true)
    public Study find(UUID id) {
        return studies.findById(id).map(this::study).orElseThrow(() -> new NotHereException("There is no such study."));
    }

    private Study study(StudyRow row) {
        List<StudyReadingRow> all = readings.findByStudyOrderBySeq(row.id);
        Map<Integer, Line> read = new HashMap<>();
        EvidenceLog.standing(all).forEach(r -> read.put(r.slot(), new Line(r.seq(), r.value())));
        return new Study(
                row.id,
                row.instrument,
                row.asked(),
                read,
                row.startedAt,
                all.isEmpty() ? 0 : all.get(all.size() - 1).seq());
    }

    /** @throws BadInputException when it is no figure, or of no slot */
    public void key(UUID id, InstrumentKind kind, Keyed keyed, UUID by) {
        Study study = find(id);
        if (log.find(StudyReadingRow.class, keyed.id()).isPresent()) {
            return;
        }
        if (keyed.skips()) {
            throw new BadInputException("typed", "app.instruments.study-skips-nothing");
        }
        int slot = slot(keyed.place(), study);
        double value = GaugeFigures.read(kind, keyed.typed(), keyed.unit(), "typed");
        log.add(new StudyReadingRow(keyed.id(), id, slot, keyed.tidy(), value, by));
    }

    private static int slot(String place, Study study) {
        int slot = place.matches("[0-9]{1,3}") ? Integer.parseInt(place) : -1;
        if (slot < 0 || slot >= study.asked().slots()) {
            throw new BadInputException("place", "app.instruments.study-no-such-place");
        }
        return slot;
    }

    /** Takes back this person's last line; gives its slot. */
    public Optional<Integer> undo(UUID id, UUID line, UUID by) {
        Optional<StudyReadingRow> before = log.find(StudyReadingRow.class, line);
        if (before.isPresent()) {
            return before.map(StudyReadingRow::slot);
        }
        Optional<StudyReadingRow> last = EvidenceLog.standing(readings.findByStudyOrderBySeq(id)).stream()
                .filter(r -> r.by().equals(by))
                .reduce((a, b) -> b);
        last.ifPresent(r -> log.add(StudyReadingRow.takingBack(line, r, by)));
        return last.map(StudyReadingRow::slot);
    }
}
