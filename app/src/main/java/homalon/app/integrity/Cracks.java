package homalon.app.integrity;

import homalon.app.part.PartFile;
import homalon.app.part.Turns;
import homalon.core.geometry.Spot;
import homalon.core.input.BadInputException;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackMethod;
import homalon.core.integrity.CrackPlace;
import homalon.core.integrity.CrackRules;
import homalon.core.integrity.Reach;
import homalon.core.integrity.Remedy;
import homalon.core.quantity.Length;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cracks marked on castings. Every change is a further line; the last one of a crack stands. */
@Service
@Transactional
public class Cracks {
    private static final int MOST = 40;

    private final Turns turns;
    private final JdbcClient jdbc;
    private final Clock clock;

    Cracks(Turns turns, JdbcClient jdbc, Clock clock) {
        this.turns = turns;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    private record Row(
            UUID crack,
            UUID visit,
            int no,
            String place,
            int bore,
            long length,
            String reaches,
            String method,
            boolean suspect,
            Spot from,
            Spot to,
            String remedy,
            String why,
            long pin,
            boolean gone,
            UUID by,
            Instant at) {}

    /** Standing cracks of present visits, by visit, in the order of their numbers. */
    @Transactional(readOnly = true)
    public Map<UUID, List<CrackFile>> ofParts(Collection<PartFile> parts) {
        Map<UUID, PartFile> byVisit =
                parts.stream().collect(Collectors.toMap(p -> p.visit().id(), Function.identity()));
        if (byVisit.isEmpty()) {
            return Map.of();
        }
        List<Row> rows = jdbc.sql("""
                        select crack, job_id, no, place, bore, length_nm, reaches, method, suspect, x1_nm, y1_nm, x2_nm,
                               y2_nm, remedy, why, pin_nm, gone, by_person, at
                        from crack_mark where job_id in (:visits) order by seq
                        """)
                .param("visits", byVisit.keySet())
                .query(Cracks::row)
                .list();
        Map<UUID, List<Row>> lines = new LinkedHashMap<>();
        rows.forEach(
                r -> lines.computeIfAbsent(r.crack(), k -> new ArrayList<>()).add(r));
        Map<UUID, List<CrackFile>> all = new HashMap<>();
        for (List<Row> of : lines.values()) {
            Row last = of.get(of.size() - 1);
            if (!last.gone()) {
                all.computeIfAbsent(last.visit(), k -> new ArrayList<>()).add(file(byVisit.get(last.visit()), of));
            }
        }
        return all;
    }

    @Transactional(readOnly = true)
    public List<CrackFile> of(PartFile part) {
        return ofParts(List.of(part)).getOrDefault(part.visit().id(), List.of());
    }

    /** Marks a crack that was found; the rule's proposal stands until someone chooses otherwise. */
    public UUID mark(PartFile part, UUID id, Crack crack, int bore, Spot from, Spot to, UUID by) {
        // Two people marking at once must not give one number twice.
        if (!turns.first(part, id)) {
            return id;
        }
        part.requireHere("crack", "to look for cracks");
        int no = jdbc.sql("select coalesce(max(no), 0) + 1 from crack_mark where job_id = ?")
                .param(part.visit().id())
                .query(Integer.class)
                .single();
        if (no > MOST) {
            throw new BadInputException("crack", "Forty cracks on one casting: it is scrap, or mark only the worst.");
        }
        Remedy proposed = CrackRules.propose(crack).remedy();
        CrackFile file = new CrackFile(
                id, no, crack, bore, from, to, proposed, "", Length.ZERO, by, clock.instant(), clock.instant());
        insert(part, id, file, false, by);
        return id;
    }

    /**
     * Chooses what becomes of it.
     *
     * @param why needed when it is not what the rule proposes
     * @param pin diameter; zero for none
     */
    public void decide(PartFile part, UUID id, UUID crack, Remedy remedy, String why, Length pin, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        CrackFile file = one(part, crack);
        String reason = why == null ? "" : why.strip();
        if (!CrackRules.ladder(file.what()).contains(remedy)) {
            throw new BadInputException(
                    "remedy", "That cannot be done here: " + remedy.words() + ". Choose another of the list.");
        }
        if (remedy != file.rule().remedy() && reason.isEmpty()) {
            throw new BadInputException(
                    "why",
                    "The rule says " + file.rule().remedy().words()
                            + ": key why you choose otherwise, it stays in the record.");
        }
        if (reason.length() > 300) {
            throw new BadInputException("why", "That is too long to keep: at most 300 characters.");
        }
        CrackFile chosen = new CrackFile(
                crack,
                file.no(),
                file.what(),
                file.bore(),
                file.from(),
                file.to(),
                remedy,
                remedy == file.rule().remedy() ? "" : reason,
                pin,
                by,
                clock.instant(),
                clock.instant());
        if (pin.signum() > 0) {
            chosen.stitch();
        }
        insert(part, id, chosen, false, by);
    }

    /** Takes it off the drawing: it was no crack, or marked twice. */
    public void remove(PartFile part, UUID id, UUID crack, UUID by) {
        if (!turns.first(part, id)) {
            return;
        }
        insert(part, id, one(part, crack), true, by);
    }

    private CrackFile one(PartFile part, UUID crack) {
        part.requireHere("crack", "to look for cracks");
        return of(part).stream()
                .filter(c -> c.crack().equals(crack))
                .findFirst()
                .orElseThrow(
                        () -> new BadInputException("crack", "That crack was taken off the drawing: mark it anew."));
    }

    private void insert(PartFile part, UUID id, CrackFile c, boolean gone, UUID by) {
        jdbc.sql("""
                        insert into crack_mark (id, job_id, crack, no, place, bore, length_nm, reaches, method, suspect,
                                                x1_nm, y1_nm, x2_nm, y2_nm, remedy, why, pin_nm, gone, by_person, at)
                        values (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?) on conflict (id) do nothing
                        """)
                .params(
                        id,
                        part.visit().id(),
                        c.crack(),
                        c.no(),
                        c.what().place().name(),
                        c.bore(),
                        Length.roundedFromMm(c.what().length()).nanometres(),
                        c.what().reaches().stream().map(Enum::name).collect(Collectors.joining(" ")),
                        c.what().method().name(),
                        c.what().suspect(),
                        nm(c.from().x()),
                        nm(c.from().y()),
                        nm(c.to().x()),
                        nm(c.to().y()),
                        c.remedy().name(),
                        c.why(),
                        c.pin().nanometres(),
                        gone,
                        by,
                        Timestamp.from(clock.instant()))
                .update();
    }

    private static long nm(double mm) {
        return Length.roundedFromMm(mm).nanometres();
    }

    private static Spot spot(long x, long y) {
        return new Spot(Length.ofNanometres(x).mm(), Length.ofNanometres(y).mm());
    }

    private static Row row(ResultSet r, int n) throws SQLException {
        return new Row(
                r.getObject("crack", UUID.class),
                r.getObject("job_id", UUID.class),
                r.getInt("no"),
                r.getString("place"),
                r.getInt("bore"),
                r.getLong("length_nm"),
                r.getString("reaches"),
                r.getString("method"),
                r.getBoolean("suspect"),
                spot(r.getLong("x1_nm"), r.getLong("y1_nm")),
                spot(r.getLong("x2_nm"), r.getLong("y2_nm")),
                r.getString("remedy"),
                r.getString("why"),
                r.getLong("pin_nm"),
                r.getBoolean("gone"),
                r.getObject("by_person", UUID.class),
                r.getTimestamp("at").toInstant());
    }

    private static CrackFile file(PartFile part, List<Row> lines) {
        Row last = lines.get(lines.size() - 1);
        Instant since = last.at();
        for (int i = lines.size() - 1; i >= 0 && lines.get(i).remedy().equals(last.remedy()); i--) {
            since = lines.get(i).at();
        }
        Set<Reach> reaches = last.reaches().isEmpty()
                ? EnumSet.noneOf(Reach.class)
                : Arrays.stream(last.reaches().split(" ")).map(Reach::valueOf).collect(Collectors.toSet());
        Crack crack = new Crack(
                part.kind(),
                part.material(),
                CrackPlace.valueOf(last.place()),
                Length.ofNanometres(last.length()).mm(),
                reaches,
                CrackMethod.valueOf(last.method()),
                last.suspect());
        return new CrackFile(
                last.crack(),
                last.no(),
                crack,
                last.bore(),
                last.from(),
                last.to(),
                Remedy.valueOf(last.remedy()),
                last.why(),
                Length.ofNanometres(last.pin()),
                last.by(),
                last.at(),
                since);
    }
}
