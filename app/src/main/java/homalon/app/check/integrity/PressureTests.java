package homalon.app.check.integrity;

import homalon.app.casting.part.CastingLocks;
import homalon.app.check.integrity.PressureReadingRow.Kind;
import homalon.app.foundation.store.EvidenceLog;
import homalon.app.foundation.web.Blanks;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Quantity;
import homalon.core.visit.PartFile;
import homalon.core.visit.TestFile;
import homalon.core.words.Message;
import jakarta.persistence.EntityManager;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pressure tests of castings, reading by reading; what is wrong is taken back by a further line. */
@Service
@Transactional
@RequiredArgsConstructor
public class PressureTests {
    private final CastingLocks locks;
    private final EvidenceLog log;
    private final EntityManager entities;
    private final Clock clock;

    /** Tests by visit, the first one first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<TestFile>> ofVisits(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<TestFile>> all = new HashMap<>();
        everyLine(visits)
                .forEach((test, lines) -> all.computeIfAbsent(test.visit(), k -> new ArrayList<>())
                        .add(file(test, standing(lines))));
        return all;
    }

    static List<PressureReadingRow> standing(List<PressureReadingRow> lines) {
        return EvidenceLog.standing(lines);
    }

    /** Every line of every test of these visits, the first test first; those of one test in time. */
    @Transactional(readOnly = true)
    Map<PressureTestRow, List<PressureReadingRow>> everyLine(Collection<UUID> visits) {
        List<PressureTestRow> tests = visits.isEmpty() ? List.of() : log.ofVisits(PressureTestRow.class, visits);
        if (tests.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<PressureReadingRow>> read = entities
                .createQuery(
                        "from PressureReadingRow where test in (:tests) order by second, seq", PressureReadingRow.class)
                .setParameter("tests", tests.stream().map(PressureTestRow::id).toList())
                .getResultList()
                .stream()
                .collect(Collectors.groupingBy(PressureReadingRow::test));
        Map<PressureTestRow, List<PressureReadingRow>> all = new LinkedHashMap<>();
        tests.forEach(t -> all.put(t, read.getOrDefault(t.id(), List.of())));
        return all;
    }

    @Transactional(readOnly = true)
    public List<TestFile> of(PartFile part) {
        return ofVisits(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of());
    }

    private static TestFile file(PressureTestRow test, List<PressureReadingRow> lines) {
        return new TestFile(
                test.id(),
                test.medium(),
                test.wet(),
                test.asked(),
                test.by(),
                test.at(),
                lines.stream()
                        .filter(r -> r.kind() == Kind.READING)
                        .map(PressureReadingRow::reading)
                        .toList(),
                lines.stream()
                        .filter(r -> r.kind() == Kind.BUBBLES)
                        .map(PressureReadingRow::bubbles)
                        .toList(),
                lines.stream().anyMatch(r -> r.kind() == Kind.NO_BUBBLES));
    }

    /**
     * How a test is set up, as it was keyed.
     *
     * @param hold minutes
     * @param most bar
     * @param volume under pressure, cc; blank where nobody knows it
     */
    public record SetUp(String medium, Boolean wet, String hold, String most, String volume) {
        public SetUp {
            medium = Blanks.of(medium);
            wet = Blanks.of(wet);
            hold = Blanks.of(hold);
            most = Blanks.of(most);
            volume = Blanks.of(volume);
        }
    }

    /** @throws BadInputException naming what cannot be asked of a test */
    public void begin(PartFile part, UUID id, SetUp asked, BenchUnit unit, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("pressure", "to test it");
        int seconds = thousandths("hold", asked.hold(), 1, 240, "Key how many minutes it shall hold, such as 10.")
                * 60
                / 1000;
        int mbar = pressure("most", asked.most(), unit, 0.001, 1, "app.integrity.key-how-much-it-may-lose");
        Integer volume = asked.volume().isBlank()
                ? null
                : Integer.valueOf(thousandths(
                                "volume",
                                asked.volume(),
                                10,
                                9999,
                                "Key the volume under pressure in cc, 10 to 9999, such as 1500; or leave it blank.")
                        / 1000);
        String words = asked.medium().strip();
        if (words.isEmpty() || words.length() > 60) {
            throw new BadInputException("medium", "app.integrity.say-what-it-is-tested-with-such-as-air");
        }
        log.add(new PressureTestRow(id, part.visit().id(), words, asked.wet(), Math.max(1, seconds), mbar, volume, by));
    }

    /**
     * What the gauge says, as it was keyed.
     *
     * @param minute since the first reading; blank: by the clock
     * @param bar in the bench's unit of pressure, or with its suffix
     */
    public record Reading(String minute, String bar, String celsius) {
        public Reading {
            minute = Blanks.of(minute);
            bar = Blanks.of(bar);
            celsius = Blanks.of(celsius);
        }
    }

    /** Writes what the gauge says. */
    public void read(PartFile part, UUID id, Reading keyed, BenchUnit unit, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        TestFile test = last(part);
        int mbar = pressure("bar", keyed.bar(), unit, 0, 10, "app.integrity.key-the-pressure");
        Integer deci = keyed.celsius().isBlank() ? null : Integer.valueOf(deciCelsius(keyed.celsius()));
        String minute = keyed.minute();
        int second = 0;
        if (!minute.isBlank()) {
            second = thousandths(
                            "minute",
                            minute,
                            0,
                            600,
                            "Key minutes since the first reading, such as 10, or leave it to the clock.")
                    * 60
                    / 1000;
        } else if (!test.readings().isEmpty()) {
            TestFile.ReadingFile first = test.readings().get(0);
            second = first.second()
                    + (int) Math.max(
                            1, clock.instant().getEpochSecond() - first.at().getEpochSecond());
        }
        int at = second;
        if (test.readings().stream().anyMatch(r -> r.second() == at && !r.id().equals(id))) {
            throw new BadInputException("minute", "app.integrity.there-is-a-reading-at-that-minute");
        }
        log.add(PressureReadingRow.reading(id, test.id(), second, mbar, deci, by));
    }

    /** Bubbles at a place; or none at all, which someone has to say. */
    public void bubbles(PartFile part, UUID id, boolean seen, String where, Spot spot, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        String words = where == null ? "" : where.strip();
        if (seen && (words.isEmpty() || words.length() > 120)) {
            throw new BadInputException("where", "app.integrity.say-where-the-bubbles-are-such-as");
        }
        UUID test = last(part).id();
        log.add(
                seen
                        ? PressureReadingRow.bubbles(id, test, words, spot, by)
                        : PressureReadingRow.noBubbles(id, test, by));
    }

    public void takeBack(PartFile part, UUID id, UUID wrong, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        TestFile test = last(part);
        boolean stands = test.readings().stream().anyMatch(r -> r.id().equals(wrong))
                || test.bubbles().stream().anyMatch(b -> b.id().equals(wrong));
        if (!stands) {
            throw new BadInputException("reading", "app.integrity.that-reading-was-taken-back-already");
        }
        log.add(PressureReadingRow.takingBack(id, test.id(), wrong, by));
    }

    private TestFile last(PartFile part) {
        part.requireHere("pressure", "to test it");
        List<TestFile> tests = of(part);
        if (tests.isEmpty()) {
            throw new BadInputException("pressure", "app.integrity.no-test-was-begun-say-how-it-is-tested");
        }
        return tests.get(tests.size() - 1);
    }

    /** In thousandths of a bar. */
    private static int pressure(
            String field, String typed, BenchUnit unit, double least, double most, String sentence) {
        double bar = Quantity.PRESSURE.read(typed, unit).orElseThrow(() -> new BadInputException(field, sentence));
        if (bar < least || bar > most) {
            throw new BadInputException(field, sentence);
        }
        return (int) Math.round(bar * 1000);
    }

    /** In tenths of a degree; without a suffix in °C at either bench. */
    private static int deciCelsius(String typed) {
        double celsius = Quantity.TEMPERATURE
                .read(typed, BenchUnit.MM)
                .orElseThrow(() -> new BadInputException("celsius", "app.integrity.key-the-temperature"));
        if (celsius < 1 || celsius > 100) {
            throw new BadInputException("celsius", "app.integrity.key-the-temperature");
        }
        return (int) Math.round(celsius * 10);
    }

    /** A keyed number in thousandths of its unit. */
    private static int thousandths(String field, String typed, double least, double most, String sentence) {
        String tidy = typed == null ? "" : typed.strip().replace(',', '.');
        if (!tidy.matches("[0-9]{1,4}(\\.[0-9]{1,4})?")) {
            throw new BadInputException(field, Message.plain(sentence));
        }
        BigDecimal value = new BigDecimal(tidy);
        if (value.doubleValue() < least || value.doubleValue() > most) {
            throw new BadInputException(field, Message.plain(sentence));
        }
        return value.movePointRight(3).setScale(0, RoundingMode.HALF_UP).intValueExact();
    }
}
