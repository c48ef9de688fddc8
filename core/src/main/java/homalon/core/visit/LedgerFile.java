package homalon.core.visit;

import homalon.core.ledger.CornerDepths;
import homalon.core.ledger.Entry;
import homalon.core.ledger.Ledger;
import homalon.core.quantity.Length;
import homalon.core.route.VisitFacts;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/** A part's ledger with what each line says besides its depth. */
public record LedgerFile(Ledger ledger, List<Line> lines) {

    /**
     * @param stands false when the line was taken back, or takes one back
     */
    public record Line(
            long seq,
            UUID id,
            UUID visit,
            Entry.Kind kind,
            Length depth,
            Optional<UUID> reverses,
            Optional<CornerDepths> corners,
            Optional<UUID> batch,
            String machine,
            String cutter,
            String edge,
            String note,
            String typed,
            UUID by,
            Instant at,
            boolean stands) {}

    /** Passes of one visit that stand. */
    public List<Line> passes(UUID visit) {
        return lines.stream()
                .filter(l -> l.visit().equals(visit) && l.kind() == Entry.Kind.PASS && l.stands())
                .toList();
    }

    /** When the passes of a visit that stand came down to a depth; empty while they have not. */
    public Optional<Instant> reached(UUID visit, Length depth) {
        Length off = Length.ZERO;
        for (Line pass : passes(visit)) {
            off = off.plus(pass.depth());
            if (off.compareTo(depth) >= 0) {
                return Optional.of(pass.at());
            }
        }
        return Optional.empty();
    }

    /** What was cut off on one visit, as its steps depend on it. */
    public VisitFacts.Passes cut(UUID visit) {
        List<Line> passes = passes(visit);
        return new VisitFacts.Passes(
                ledger.totals(visit).thisJob(),
                passes.size(),
                passes.stream().map(Line::at).reduce((a, b) -> b),
                lines.stream()
                        .filter(l -> l.visit().equals(visit)
                                && (l.kind() == Entry.Kind.PASS || l.reverses().isPresent()))
                        .map(Line::at)
                        .max(Comparator.naturalOrder()));
    }
}
