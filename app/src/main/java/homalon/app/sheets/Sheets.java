package homalon.app.sheets;

import homalon.app.part.PartFile;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import java.sql.Timestamp;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps sheets: how each is set up, and every figure ever keyed on it. */
@Service
@Transactional
public class Sheets {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final JdbcClient jdbc;
    private final Clock clock;

    Sheets(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private record Row(UUID visit, Sheet sheet, SheetFile.Figure figure, UUID withdraws) {}

    private record Setup(UUID visit, Sheet sheet, long seq, Map<String, String> values) {}

    /** Sheets that were begun, by visit. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<Sheet, SheetFile>> ofVisits(Collection<UUID> visits) {
        if (visits.isEmpty()) {
            return Map.of();
        }
        List<Setup> setups = jdbc.sql(
                        "select job_id, sheet, seq, setup from sheet_setup where job_id in (:visits) order by seq")
                .param("visits", visits)
                .query((r, n) -> new Setup(
                        r.getObject(1, UUID.class),
                        Sheet.valueOf(r.getString(2)),
                        r.getLong(3),
                        JSON.readValue(r.getString(4), new TypeReference<Map<String, String>>() {})))
                .list();
        if (setups.isEmpty()) {
            return Map.of();
        }
        List<Row> rows = jdbc.sql("""
                        select job_id, sheet, seq, id, place, kind, typed, unit, nm, by_person, at, withdraws
                        from figure where job_id in (:visits) order by seq
                        """)
                .param("visits", visits)
                .query((r, n) -> new Row(
                        r.getObject(1, UUID.class),
                        Sheet.valueOf(r.getString(2)),
                        new SheetFile.Figure(
                                r.getLong(3),
                                r.getObject(4, UUID.class),
                                r.getString(5),
                                r.getString(6),
                                r.getString(7),
                                BenchUnit.valueOf(r.getString(8)),
                                Optional.ofNullable((Long) r.getObject(9)).map(Length::ofNanometres),
                                r.getObject(10, UUID.class),
                                r.getTimestamp(11).toInstant()),
                        r.getObject(12, UUID.class)))
                .list();
        Map<UUID, Map<Sheet, SheetFile>> all = new HashMap<>();
        for (Setup s : setups) {
            List<Row> own = rows.stream()
                    .filter(r -> r.visit().equals(s.visit()) && r.sheet() == s.sheet())
                    .toList();
            all.computeIfAbsent(s.visit(), k -> new EnumMap<>(Sheet.class)).put(s.sheet(), file(s, own));
        }
        return all;
    }

    private static SheetFile file(Setup setup, List<Row> rows) {
        Set<UUID> gone = new HashSet<>();
        rows.forEach(r -> gone.add(r.withdraws()));
        Map<String, SheetFile.Figure> standing = new LinkedHashMap<>();
        List<SheetFile.Figure> history = new ArrayList<>();
        long revision = setup.seq();
        for (Row r : rows) {
            history.add(r.figure());
            revision = Math.max(revision, 0) + 1;
            if (!r.figure().kind().equals("WITHDRAWN")
                    && !gone.contains(r.figure().id())) {
                standing.put(r.figure().place(), r.figure());
            }
        }
        return new SheetFile(setup.sheet(), setup.values(), standing, List.copyOf(history), revision);
    }

    @Transactional(readOnly = true)
    public SheetFile of(PartFile part, Sheet sheet) {
        return ofVisits(List.of(part.visit().id()))
                .getOrDefault(part.visit().id(), Map.of())
                .getOrDefault(sheet, SheetFile.empty(sheet));
    }

    public void setUp(PartFile part, UUID id, Sheet sheet, Map<String, String> values, UUID by) {
        part.requireHere("sheet", "to measure it");
        jdbc.sql("""
                        insert into sheet_setup (id, job_id, sheet, setup, by_person, at)
                        values (?, ?, ?, ?::jsonb, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        sheet.name(),
                        JSON.writeValueAsString(values),
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    /** One figure as typed; {@code /} skips the place. */
    public void key(PartFile part, Sheet sheet, UUID id, String place, String typed, BenchUnit unit, UUID by) {
        part.requireHere("sheet", "to measure it");
        String tidy = typed.strip();
        boolean skipped = tidy.equals("/");
        Length value = skipped ? null : Length.parse(tidy, unit);
        if (!skipped && Math.abs(value.nanometres()) > sheet.furthest().nanometres()) {
            throw new BadInputException(
                    "typed", "That is too far off for this place: key it in the unit shown, or with its unit.");
        }
        insert(part, sheet, id, place, skipped ? "SKIPPED" : "KEYED", value, tidy, unit, null, by);
    }

    /**
     * Something said at a place, or a figure that its reader took in its own way: kept as typed.
     *
     * @param value empty for what is no length; the words are read again wherever they are used
     */
    public void say(
            PartFile part,
            Sheet sheet,
            UUID id,
            String place,
            Optional<Length> value,
            String typed,
            BenchUnit unit,
            UUID by) {
        part.requireHere("sheet", "to work on it");
        insert(part, sheet, id, place, "KEYED", value.orElse(null), typed.strip(), unit, null, by);
    }

    public void skip(PartFile part, Sheet sheet, UUID id, String place, BenchUnit unit, UUID by) {
        part.requireHere("sheet", "to measure it");
        insert(part, sheet, id, place, "SKIPPED", null, "/", unit, null, by);
    }

    /** Takes back what stands at one place; nothing where nothing does. */
    public void withdraw(PartFile part, Sheet sheet, UUID id, String place, UUID by) {
        part.requireHere("sheet", "to work on it");
        SheetFile.Figure standing = of(part, sheet).standing().get(place);
        if (standing != null) {
            insert(part, sheet, id, place, "WITHDRAWN", null, "", standing.unit(), standing.id(), by);
        }
    }

    /** Takes back the last figure of this person that stands; the place it was keyed at, or empty. */
    public Optional<String> undo(PartFile part, Sheet sheet, UUID id, UUID by) {
        return undo(part, sheet, id, by, place -> true);
    }

    /** The same among some places only. */
    public Optional<String> undo(PartFile part, Sheet sheet, UUID id, UUID by, Predicate<String> among) {
        part.requireHere("sheet", "to measure it");
        Optional<SheetFile.Figure> last = of(part, sheet).standing().values().stream()
                .filter(f -> among.test(f.place()))
                .filter(f -> f.by().equals(by))
                .max(Comparator.comparingLong(SheetFile.Figure::seq));
        last.ifPresent(f -> insert(part, sheet, id, f.place(), "WITHDRAWN", null, "", f.unit(), f.id(), by));
        return last.map(SheetFile.Figure::place);
    }

    private void insert(
            PartFile part,
            Sheet sheet,
            UUID id,
            String place,
            String kind,
            Length value,
            String typed,
            BenchUnit unit,
            UUID withdraws,
            UUID by) {
        jdbc.sql("""
                        insert into figure (id, job_id, sheet, place, kind, nm, typed, unit, withdraws, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        sheet.name(),
                        place,
                        kind,
                        value == null ? null : value.nanometres(),
                        typed,
                        unit.name(),
                        withdraws,
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }
}
