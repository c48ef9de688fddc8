package homalon.app.sheets;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.app.people.People;
import homalon.app.web.AskAgainException;
import homalon.app.web.OneRead;
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
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Keeps sheets: how each is set up, and every figure ever keyed on it. */
@Service
@Transactional
public class Sheets {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Turns turns;
    private final People people;
    private final JdbcClient jdbc;
    private final OneRead reading;
    private final Clock clock;
    /** By visit; taken only for the lines that the store says are there now. */
    private final Cache<UUID, Known> read =
            Caffeine.newBuilder().maximumSize(300).build();

    Sheets(Turns turns, People people, JdbcClient jdbc, OneRead reading, Clock clock) {
        this.people = people;
        this.turns = turns;
        this.jdbc = jdbc;
        this.reading = reading;
        this.clock = clock;
    }

    private record Row(UUID visit, Sheet sheet, SheetFile.Figure figure, UUID withdraws) {}

    private record Setup(UUID visit, Sheet sheet, long seq, Map<String, String> values) {}

    /**
     * What a visit's sheets were read at: lines are only ever added, so that as many lines with the same last one are the same
     * lines. Cheap to ask for beside the lines themselves.
     */
    private record Stamp(UUID visit, long setups, long lastSetup, long figures, long lastFigure) {}

    private record Known(Stamp stamp, List<Setup> setups, List<Row> rows, Map<Sheet, SheetFile> files) {}

    /** Sheets that were begun, by visit. */
    @Transactional(readOnly = true)
    public Map<UUID, Map<Sheet, SheetFile>> ofVisits(Collection<UUID> visits) {
        return visits.isEmpty() ? Map.of() : reading.once(new OfVisits(List.copyOf(visits)), () -> readOf(visits));
    }

    private record OfVisits(List<UUID> visits) {}

    private Map<UUID, Map<Sheet, SheetFile>> readOf(Collection<UUID> visits) {
        List<Stamp> stamps = jdbc.sql("""
                        select s.job_id, s.n, s.last, coalesce(f.n, 0), coalesce(f.last, 0)
                        from (select job_id, count(*) n, max(seq) last from sheet_setup
                              where job_id in (:visits) group by job_id) s
                        left join (select job_id, count(*) n, max(seq) last from figure
                              where job_id in (:visits) group by job_id) f using (job_id)
                        """)
                .param("visits", visits)
                .query((r, n) ->
                        new Stamp(r.getObject(1, UUID.class), r.getLong(2), r.getLong(3), r.getLong(4), r.getLong(5)))
                .list();
        Map<UUID, Map<Sheet, SheetFile>> all = new HashMap<>();
        List<Stamp> unread = new ArrayList<>();
        for (Stamp stamp : stamps) {
            Known known = read.getIfPresent(stamp.visit());
            Known now = known == null ? null : known.stamp().equals(stamp) ? known : grown(known, stamp);
            if (now == null) {
                unread.add(stamp);
            } else {
                all.put(stamp.visit(), now.files());
            }
        }
        whole(unread).forEach(k -> all.put(k.stamp().visit(), k.files()));
        return all;
    }

    /** The lines that came since; null when that does not come to what stands there now, and all has to be read. */
    private Known grown(Known known, Stamp stamp) {
        Stamp was = known.stamp();
        List<Setup> setups = new ArrayList<>(known.setups());
        List<Row> rows = new ArrayList<>(known.rows());
        if (was.lastSetup() != stamp.lastSetup()) {
            setups.addAll(setups(List.of(stamp.visit()), was.lastSetup()));
        }
        if (was.lastFigure() != stamp.lastFigure()) {
            rows.addAll(rows(List.of(stamp.visit()), was.lastFigure()));
        }
        // Two who write at once may be seen in the other order than that of their numbers.
        return setups.size() == stamp.setups() && rows.size() == stamp.figures() ? kept(stamp, setups, rows) : null;
    }

    private List<Known> whole(List<Stamp> stamps) {
        if (stamps.isEmpty()) {
            return List.of();
        }
        List<UUID> visits = stamps.stream().map(Stamp::visit).toList();
        Map<UUID, List<Setup>> setups = setups(visits, 0).stream().collect(Collectors.groupingBy(Setup::visit));
        Map<UUID, List<Row>> rows = rows(visits, 0).stream().collect(Collectors.groupingBy(Row::visit));
        return stamps.stream()
                .map(s -> kept(s, setups.getOrDefault(s.visit(), List.of()), rows.getOrDefault(s.visit(), List.of())))
                .toList();
    }

    private Known kept(Stamp stamp, List<Setup> setups, List<Row> rows) {
        Map<Sheet, SheetFile> files = new EnumMap<>(Sheet.class);
        for (Setup s : setups) {
            List<Row> own = rows.stream().filter(r -> r.sheet() == s.sheet()).toList();
            List<Map<String, String>> until = setups.stream()
                    .filter(o -> o.sheet() == s.sheet() && o.seq() <= s.seq())
                    .map(Setup::values)
                    .toList();
            files.put(s.sheet(), file(s, until, own));
        }
        Known known = new Known(stamp, setups, rows, files);
        // What is being written may be taken back: only what a reader saw is remembered. A line that came between the
        // two
        // questions is not taken for the state that was asked about.
        if (TransactionSynchronizationManager.isCurrentTransactionReadOnly()
                && setups.size() == stamp.setups()
                && rows.size() == stamp.figures()) {
            read.put(stamp.visit(), known);
        }
        return known;
    }

    private List<Setup> setups(Collection<UUID> visits, long after) {
        return jdbc.sql("""
                        select job_id, sheet, seq, setup from sheet_setup
                        where job_id in (:visits) and seq > :after order by seq
                        """)
                .param("visits", visits)
                .param("after", after)
                .query((r, n) -> new Setup(
                        r.getObject(1, UUID.class),
                        Sheet.valueOf(r.getString(2)),
                        r.getLong(3),
                        JSON.readValue(r.getString(4), new TypeReference<Map<String, String>>() {})))
                .list();
    }

    private List<Row> rows(Collection<UUID> visits, long after) {
        return jdbc.sql("""
                        select job_id, sheet, seq, id, place, kind, typed, unit, nm, by_person, at, withdraws
                        from figure where job_id in (:visits) and seq > :after order by seq
                        """)
                .param("visits", visits)
                .param("after", after)
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
    }

    private static SheetFile file(Setup setup, List<Map<String, String>> setups, List<Row> rows) {
        Set<UUID> gone = new HashSet<>();
        rows.forEach(r -> gone.add(r.withdraws()));
        Map<String, SheetFile.Figure> standing = new LinkedHashMap<>();
        List<SheetFile.Figure> history = new ArrayList<>();
        List<SheetFile.Figure> kept = new ArrayList<>();
        long revision = setup.seq();
        for (Row r : rows) {
            history.add(r.figure());
            revision = Math.max(revision, 0) + 1;
            if (!r.figure().kind().equals("WITHDRAWN")
                    && !gone.contains(r.figure().id())) {
                standing.put(r.figure().place(), r.figure());
                kept.add(r.figure());
            }
        }
        return new SheetFile(
                setup.sheet(), setup.values(), setups, standing, List.copyOf(history), List.copyOf(kept), revision);
    }

    @Transactional(readOnly = true)
    public SheetFile of(PartFile part, Sheet sheet) {
        return ofVisits(List.of(part.visit().id()))
                .getOrDefault(part.visit().id(), Map.of())
                .getOrDefault(sheet, SheetFile.empty(sheet));
    }

    public void setUp(PartFile part, UUID id, Sheet sheet, Map<String, String> values, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        part.requireHere("sheet", "to measure it");
        jdbc.sql("""
                        insert into sheet_setup (id, job_id, sheet, setup, by_person, at)
                        values (?, ?, ?, ?::jsonb, ?, ?)
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

    /**
     * The hand that keys at a place.
     *
     * @param id made by the browser, so that a repeat stores once
     * @param seen number of the last line that the hand knows at the place; 0 for none
     */
    public record Hand(UUID id, long seen, UUID by) {
        /** One that puts its figure there whatever stands. */
        public static Hand sure(UUID id, UUID by) {
            return new Hand(id, Long.MAX_VALUE, by);
        }
    }

    /**
     * One figure as typed; {@code /} skips the place.
     *
     * @throws AskAgainException when somebody else keyed there since the hand looked
     */
    public void key(PartFile part, Sheet sheet, String place, String typed, BenchUnit unit, Hand hand) {
        String tidy = typed.strip();
        if (tidy.equals("/")) {
            skip(part, sheet, place, unit, hand);
            return;
        }
        Length value = Length.parse(tidy, unit);
        if (Math.abs(value.nanometres()) > sheet.furthest().nanometres()) {
            throw new BadInputException(
                    "typed", "That is too far off for this place: key it in the unit shown, or with its unit.");
        }
        say(part, sheet, place, Optional.of(value), tidy, unit, hand);
    }

    /**
     * Something said at a place, or a figure that its reader took in its own way: kept as typed.
     *
     * @param value empty for what is no length; the words are read again wherever they are used
     * @throws AskAgainException when somebody else keyed there since the hand looked
     */
    public void say(
            PartFile part, Sheet sheet, String place, Optional<Length> value, String typed, BenchUnit unit, Hand hand) {
        if (may(part, sheet, place, hand)) {
            insert(part, sheet, hand.id(), place, "KEYED", value.orElse(null), typed.strip(), unit, null, hand.by());
        }
    }

    /** @throws AskAgainException when somebody else keyed there since the hand looked */
    public void skip(PartFile part, Sheet sheet, String place, BenchUnit unit, Hand hand) {
        if (may(part, sheet, place, hand)) {
            insert(part, sheet, hand.id(), place, "SKIPPED", null, "/", unit, null, hand.by());
        }
    }

    /**
     * Asks first whether somebody else keyed there, before anything is asked about the value itself.
     *
     * @throws AskAgainException when somebody did since the hand looked
     */
    public void ask(PartFile part, Sheet sheet, String place, Hand hand) {
        turns.take(part);
        if (!turns.kept(hand.id())) {
            meanwhile(part, sheet, place, hand);
        }
    }

    /** False for a repeat. */
    private boolean may(PartFile part, Sheet sheet, String place, Hand hand) {
        if (!turns.first(part, hand.id())) {
            return false;
        }
        part.requireHere("sheet", "to measure it");
        meanwhile(part, sheet, place, hand);
        return true;
    }

    /** Two may key one place: the later one is told who keyed what, and decides. */
    private void meanwhile(PartFile part, Sheet sheet, String place, Hand hand) {
        SheetFile.Figure there = of(part, sheet).standing().get(place);
        if (there != null && there.seq() > hand.seen() && !there.by().equals(hand.by())) {
            throw new AskAgainException(
                    people.nameOf(there.by()) + " keyed "
                            + (there.kind().equals("SKIPPED") ? "a skip" : there.typed())
                            + " here meanwhile. Press Enter again to put yours in its place, or Escape to leave it.",
                    there.seq());
        }
    }

    /** Takes back what stands at one place; nothing where nothing does. */
    public void withdraw(PartFile part, Sheet sheet, UUID id, String place, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
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
        if (!turns.first(part, id)) {
            return jdbc.sql("select place from figure where id = ?")
                    .param(id)
                    .query(String.class)
                    .optional();
        }
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
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)
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
