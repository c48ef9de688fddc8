package homalon.app.casting.ledger;

import homalon.app.casting.part.CastingLocks;
import homalon.core.input.BadInputException;
import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.quantity.Length;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.time.Clock;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Writes and reads ledgers. Every line carries an id made by the browser, so that a repeat stores once. */
@Service
@Transactional
@RequiredArgsConstructor
public class Ledgers {
    private final LineRepository lines;
    private final CastingLocks locks;
    private final Clock clock;

    /** Edges of a cutter that a standing pass was cut with, over the whole shop. */
    @Transactional(readOnly = true)
    public List<String> edgesUsed(String cutter) {
        return lines.edgesUsed(cutter, Limit.of(24));
    }

    /** What is noted beside a depth. */
    public record Notes(String machine, String cutter, String edge, String note, String typed) {
        public static final Notes NONE = new Notes("", "", "", "", "");
    }

    @Transactional(readOnly = true)
    public LedgerFile of(PartFile part) {
        return ofParts(List.of(part.id())).get(part.id());
    }

    /** Ledgers by id of the part; an empty one where nothing was ever written. */
    @Transactional(readOnly = true)
    public Map<UUID, LedgerFile> ofParts(Collection<UUID> parts) {
        Map<UUID, List<LineRow>> rows = lines.ofParts(parts).stream().collect(Collectors.groupingBy(r -> r.partId));
        return parts.stream()
                .distinct()
                .collect(Collectors.toMap(Function.identity(), p -> file(rows.getOrDefault(p, List.of()))));
    }

    /**
     * @param corners what it takes at the corners; empty where nothing says it
     * @param batch that it was cut in
     * @throws BadInputException when that depth cannot be a pass
     */
    public void pass(
            PartFile part,
            UUID id,
            Length depth,
            Optional<CornerDepths> corners,
            Notes notes,
            Optional<UUID> batch,
            UUID by) {
        locks.take(part);
        Ledger.checkPass(depth);
        LineRow row = new LineRow();
        corners.ifPresent(c -> row.corners =
                c.each().stream().map(d -> Long.toString(d.nanometres())).collect(Collectors.joining(" ")));
        row.batchId = batch.orElse(null);
        write(part, row, id, Entry.Kind.PASS, depth, null, notes, by);
    }

    public void opening(PartFile part, UUID id, Entry.Kind kind, Length depth, String note, UUID by) {
        locks.take(part);
        if (lines.existsById(id)) {
            return;
        }
        of(part).ledger().checkOpening(kind, depth);
        write(part, id, kind, depth, null, new Notes("", "", "", note, ""), by);
    }

    /** Takes a line back by a second one. */
    public void reverse(PartFile part, UUID id, UUID wrong, String why, UUID by) {
        locks.take(part);
        if (lines.existsById(id)) {
            return;
        }
        Entry line = of(part).ledger().reversible(wrong);
        String reason = why == null ? "" : why.strip();
        if (reason.isEmpty()) {
            throw new BadInputException("why", "app.ledger.say-why-the-line-is-wrong-such-as-dial");
        }
        write(part, id, Entry.Kind.REVERSAL, Length.ZERO, line.id(), new Notes("", "", "", reason, ""), by);
    }

    /**
     * Reverses the last pass of this visit, if this person logged it.
     *
     * @throws BadInputException when there is none, or somebody else logged the last one
     */
    public void reverseLast(PartFile part, UUID id, String why, UUID by) {
        locks.take(part);
        if (lines.existsById(id)) {
            return;
        }
        List<LedgerFile.Line> passes = of(part).passes(part.visit().id());
        if (passes.isEmpty()) {
            throw new BadInputException("undo", "app.ledger.no-pass-of-this-visit-is-left-to-take");
        }
        LedgerFile.Line last = passes.get(passes.size() - 1);
        if (!last.by().equals(by)) {
            throw new BadInputException("undo", "app.ledger.somebody-else-logged-the-last-pass-open");
        }
        reverse(part, id, last.id(), why, by);
    }

    /** Whether a line was kept before: a repeat is answered as the first was. */
    @Transactional(readOnly = true)
    public boolean holds(UUID id) {
        return lines.existsById(id);
    }

    private void write(PartFile part, UUID id, Entry.Kind kind, Length depth, UUID reverses, Notes notes, UUID by) {
        write(part, new LineRow(), id, kind, depth, reverses, notes, by);
    }

    private void write(
            PartFile part, LineRow row, UUID id, Entry.Kind kind, Length depth, UUID reverses, Notes notes, UUID by) {
        if (lines.existsById(id)) {
            return;
        }
        part.requireHere("depth", "to cut it");
        row.id = id;
        row.partId = part.id();
        row.jobId = part.visit().id();
        row.kind = kind;
        row.depth = depth.nanometres();
        row.reverses = reverses;
        row.machine = limited(notes.machine(), 80, "machine");
        row.cutter = limited(notes.cutter(), 80, "cutter");
        row.edge = limited(notes.edge(), 20, "edge");
        row.note = limited(notes.note(), 500, "note");
        row.typed = limited(notes.typed(), 60, "depth");
        row.byPerson = by;
        row.at = clock.instant();
        lines.saveAndFlush(row);
    }

    private static String limited(String text, int most, String field) {
        String tidy = text == null ? "" : text.strip();
        if (tidy.length() > most) {
            throw new BadInputException(field, "app.ledger.that-is-too-long-to-keep-at-most", most);
        }
        return tidy;
    }

    private static LedgerFile file(List<LineRow> rows) {
        Ledger ledger = new Ledger(rows.stream().map(LineRow::entry).toList());
        return new LedgerFile(
                ledger,
                rows.stream()
                        .map(r -> new LedgerFile.Line(
                                r.seq,
                                r.id,
                                r.jobId,
                                r.kind,
                                Length.ofNanometres(r.depth),
                                Optional.ofNullable(r.reverses),
                                r.entry().corners(),
                                Optional.ofNullable(r.batchId),
                                r.machine,
                                r.cutter,
                                r.edge,
                                r.note,
                                r.typed,
                                r.byPerson,
                                r.at,
                                ledger.stands(r.entry())))
                        .toList());
    }
}
