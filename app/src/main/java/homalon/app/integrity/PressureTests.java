package homalon.app.integrity;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Decay;
import homalon.core.quantity.Length;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pressure tests of castings, reading by reading; what is wrong is taken back by a further line. */
@Service
@Transactional
public class PressureTests {
    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    PressureTests(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private record Row(
            UUID id,
            UUID test,
            String kind,
            int second,
            int mbar,
            Integer decicelsius,
            String note,
            Spot spot,
            UUID by,
            Instant at) {}

    private record Head(
            UUID id, UUID visit, String medium, boolean wet, int hold, int most, Integer volume, UUID by, Instant at) {}

    /** Tests by visit, the first one first. */
    @Transactional(readOnly = true)
    public Map<UUID, List<TestFile>> ofVisits(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        List<Head> heads = jdbc.sql("""
                        select id, job_id, medium, wet, hold_seconds, most_mbar, volume_cc, by_person, at
                        from pressure_test where job_id in (:visits) order by seq
                        """)
                .param("visits", visits)
                .query((r, n) -> new Head(
                        r.getObject(1, UUID.class),
                        r.getObject(2, UUID.class),
                        r.getString(3),
                        r.getBoolean(4),
                        r.getInt(5),
                        r.getInt(6),
                        (Integer) r.getObject(7),
                        r.getObject(8, UUID.class),
                        r.getTimestamp(9).toInstant()))
                .list();
        if (heads.isEmpty()) {
            return Map.of();
        }
        Map<UUID, List<Row>> rows = jdbc
                .sql("""
                        select id, test_id, kind, second, mbar, decicelsius, note, x_nm, y_nm, by_person, at
                        from pressure_reading e where test_id in (:tests) and kind <> 'WITHDRAWN'
                          and not exists (select from pressure_reading w where w.withdraws = e.id)
                        order by second, seq
                        """)
                .param("tests", heads.stream().map(Head::id).toList())
                .query((r, n) -> new Row(
                        r.getObject(1, UUID.class),
                        r.getObject(2, UUID.class),
                        r.getString(3),
                        r.getInt(4),
                        r.getInt(5),
                        (Integer) r.getObject(6),
                        r.getString(7),
                        new Spot(
                                Length.ofNanometres(r.getLong(8)).mm(),
                                Length.ofNanometres(r.getLong(9)).mm()),
                        r.getObject(10, UUID.class),
                        r.getTimestamp(11).toInstant()))
                .list()
                .stream()
                .collect(Collectors.groupingBy(Row::test));
        Map<UUID, List<TestFile>> all = new HashMap<>();
        for (Head h : heads) {
            all.computeIfAbsent(h.visit(), k -> new ArrayList<>()).add(file(h, rows.getOrDefault(h.id(), List.of())));
        }
        return all;
    }

    @Transactional(readOnly = true)
    public List<TestFile> of(PartFile part) {
        return ofVisits(List.of(part.visit().id())).getOrDefault(part.visit().id(), List.of());
    }

    private static TestFile file(Head h, List<Row> rows) {
        return new TestFile(
                h.id(),
                h.medium(),
                h.wet(),
                new Decay.Asked(
                        h.hold() / 60.0,
                        h.most() / 1000.0,
                        h.volume() == null ? OptionalDouble.empty() : OptionalDouble.of(h.volume())),
                h.by(),
                h.at(),
                rows.stream()
                        .filter(r -> r.kind().equals("READING"))
                        .map(r -> new TestFile.ReadingFile(
                                r.id(),
                                r.second(),
                                r.mbar() / 1000.0,
                                r.decicelsius() == null
                                        ? OptionalDouble.empty()
                                        : OptionalDouble.of(r.decicelsius() / 10.0),
                                r.by(),
                                r.at()))
                        .toList(),
                rows.stream()
                        .filter(r -> r.kind().equals("BUBBLES"))
                        .map(r -> new TestFile.BubbleFile(r.id(), r.note(), r.spot(), r.by(), r.at()))
                        .toList(),
                rows.stream().anyMatch(r -> r.kind().equals("NO_BUBBLES")));
    }

    /**
     * How a test is set up, as it was keyed.
     *
     * @param hold minutes
     * @param most bar
     * @param volume under pressure, cc; blank where nobody knows it
     */
    public record SetUp(String medium, boolean wet, String hold, String most, String volume) {}

    /** @throws BadInputException naming what cannot be asked of a test */
    public void begin(PartFile part, UUID id, SetUp asked, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        part.requireHere("pressure", "to test it");
        int seconds = thousandths("hold", asked.hold(), 1, 240, "Key how many minutes it shall hold, such as 10.")
                * 60
                / 1000;
        int mbar = thousandths(
                "most", asked.most(), 0.001, 1, "Key how much it may lose in that time, in bar, such as 0.05.");
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
            throw new BadInputException("medium", "Say what it is tested with, such as air under water.");
        }
        jdbc.sql("""
                        insert into pressure_test (id, job_id, medium, wet, hold_seconds, most_mbar, volume_cc,
                                                   by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(id, part.visit().id(), words, asked.wet(), Math.max(1, seconds), mbar, volume, by, now())
                .update();
    }

    /**
     * Writes what the gauge says.
     *
     * @param minute since the first reading; blank: by the clock
     */
    public void read(PartFile part, UUID id, String minute, String bar, String celsius, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        TestFile test = last(part);
        int mbar = thousandths("bar", bar, 0, 10, "Key the pressure in bar, such as 2.5.");
        Integer deci = celsius == null || celsius.isBlank()
                ? null
                : Integer.valueOf(
                        thousandths("celsius", celsius, 1, 100, "Key the temperature in °C, such as 21.5.") / 100);
        int second = 0;
        if (minute != null && !minute.isBlank()) {
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
            throw new BadInputException(
                    "minute", "There is a reading at that minute already: take it back first, or key another minute.");
        }
        write(test, id, "READING", second, mbar, deci, "", new Spot(0, 0), null, by);
    }

    /** Bubbles at a place; or none at all, which someone has to say. */
    public void bubbles(PartFile part, UUID id, boolean seen, String where, Spot spot, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        String words = where == null ? "" : where.strip();
        if (seen && (words.isEmpty() || words.length() > 120)) {
            throw new BadInputException(
                    "where", "Say where the bubbles are, such as: between seats 3, or tap the drawing.");
        }
        write(last(part), id, seen ? "BUBBLES" : "NO_BUBBLES", 0, 0, null, seen ? words : "", spot, null, by);
    }

    public void takeBack(PartFile part, UUID id, UUID wrong, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        TestFile test = last(part);
        boolean stands = test.readings().stream().anyMatch(r -> r.id().equals(wrong))
                || test.bubbles().stream().anyMatch(b -> b.id().equals(wrong));
        if (!stands) {
            throw new BadInputException("reading", "That reading was taken back already.");
        }
        write(test, id, "WITHDRAWN", 0, 0, null, "", new Spot(0, 0), wrong, by);
    }

    private TestFile last(PartFile part) {
        part.requireHere("pressure", "to test it");
        List<TestFile> tests = of(part);
        if (tests.isEmpty()) {
            throw new BadInputException("pressure", "No test was begun: say how it is tested first.");
        }
        return tests.get(tests.size() - 1);
    }

    private void write(
            TestFile test,
            UUID id,
            String kind,
            int second,
            int mbar,
            Integer deci,
            String note,
            Spot spot,
            UUID withdraws,
            UUID by) {
        jdbc.sql("""
                        insert into pressure_reading (id, test_id, kind, second, mbar, decicelsius, note, x_nm, y_nm,
                                                      withdraws, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        test.id(),
                        kind,
                        second,
                        mbar,
                        deci,
                        note,
                        Length.roundedFromMm(spot.x()).nanometres(),
                        Length.roundedFromMm(spot.y()).nanometres(),
                        withdraws,
                        by,
                        now())
                .update();
    }

    private Timestamp now() {
        return Timestamp.from(clock.instant());
    }

    /** A keyed number in thousandths of its unit. */
    private static int thousandths(String field, String typed, double least, double most, String sentence) {
        String tidy = typed == null ? "" : typed.strip().replace(',', '.');
        if (!tidy.matches("[0-9]{1,4}(\\.[0-9]{1,4})?")) {
            throw new BadInputException(field, sentence);
        }
        BigDecimal value = new BigDecimal(tidy);
        if (value.doubleValue() < least || value.doubleValue() > most) {
            throw new BadInputException(field, sentence);
        }
        return value.movePointRight(3).setScale(0, RoundingMode.HALF_UP).intValueExact();
    }
}
