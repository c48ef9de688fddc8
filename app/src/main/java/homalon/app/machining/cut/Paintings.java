package homalon.app.machining.cut;

import homalon.app.casting.part.CastingLocks;
import homalon.app.foundation.store.EvidenceLog;
import homalon.core.cut.TouchCells;
import homalon.core.cut.TouchComparison;
import homalon.core.cut.Touched;
import homalon.core.input.BadInputException;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.time.Instant;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what was painted as touched after a pass. */
@Service
@Transactional
@RequiredArgsConstructor
public class Paintings {
    private final CastingLocks locks;
    private final EvidenceLog log;

    /** One painting, or what was said in its place. */
    public record Painting(UUID id, Touched touched, long afterLine, UUID by, Instant at) {
        public BitSet cells() {
            return touched.cells();
        }
    }

    /** The last painting after the last pass that stands; empty when none was made since. */
    @Transactional(readOnly = true)
    public Optional<Painting> now(PartFile part, LedgerFile ledger) {
        long last = lastLine(part, ledger);
        return standing(part).stream().filter(p -> p.afterLine() == last).findFirst();
    }

    /** The last painting after each pass, in the order they were made; of passes that were taken back as well. */
    private List<Painting> standing(PartFile part) {
        Map<Long, Painting> last = new LinkedHashMap<>();
        for (TouchedRow r : log.ofVisit(TouchedRow.class, part.visit().id())) {
            Touched touched = new Touched(bits(r.cells()), r.said());
            last.put(r.afterLine(), new Painting(r.id(), touched, r.afterLine(), r.by(), r.at()));
        }
        return List.copyOf(last.values());
    }

    /** What was seen after each pass that stands, with the depth it had come to; looks of which only a share is known say nothing. */
    @Transactional(readOnly = true)
    public List<TouchComparison.Look> looks(PartFile part, LedgerFile ledger, TouchCells grid) {
        List<Painting> all = standing(part);
        List<TouchComparison.Look> looks = new ArrayList<>();
        double depth = 0;
        for (LedgerFile.Line pass : ledger.passes(part.visit().id())) {
            depth += pass.depth().mm();
            double total = depth;
            all.stream()
                    .filter(p ->
                            p.afterLine() == pass.seq() && p.touched().share().isEmpty())
                    .findFirst()
                    .ifPresent(p -> looks.add(new TouchComparison.Look(
                            total, p.cells(), p.touched().unsure(grid))));
        }
        return looks;
    }

    /** @throws BadInputException when the cells are not those of a face */
    public static Touched painted(String cells) {
        if (!cells.matches("[0-9a-f]{0,200}") || bits(cells).length() > TouchCells.COLUMNS * 16) {
            throw new BadInputException("cells", "app.cut.these-are-not-the-cells-of-this-face");
        }
        return Touched.painted(bits(cells));
    }

    /** @throws BadInputException when nothing was cut yet */
    public void paint(PartFile part, LedgerFile ledger, UUID id, Touched touched, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("cells", "to cut it");
        long last = lastLine(part, ledger);
        if (last == 0) {
            throw new BadInputException("cells", "app.cut.log-the-pass-first-then-paint-what-it");
        }
        log.add(new TouchedRow(
                id,
                part.visit().id(),
                last,
                written(touched.cells()),
                touched.said().isEmpty() ? null : touched.said(),
                by));
    }

    void leave(PartFile part, UUID id, Painting painting, String why, UUID by) {
        if (!locks.first(part, id)) {
            return;
        }
        part.requireHere("leave", "to cut it");
        String reason = why == null ? "" : why.strip();
        if (reason.isEmpty() || reason.length() > 300) {
            throw new BadInputException("leave", "app.cut.say-in-a-few-words-why-it-may-stay-such");
        }
        log.add(new LeftUncut(id, part.visit().id(), painting.id(), reason, by));
    }

    /** What was signed for after the painting given. */
    @Transactional(readOnly = true)
    public Optional<LeftUncut> left(PartFile part, Painting painting) {
        return everyLeft(part).stream()
                .filter(l -> l.painting().equals(painting.id()))
                .reduce((a, b) -> b);
    }

    /** Everything that was signed for on a visit, in order. */
    @Transactional(readOnly = true)
    public List<LeftUncut> everyLeft(PartFile part) {
        return log.ofVisit(LeftUncut.class, part.visit().id());
    }

    private static long lastLine(PartFile part, LedgerFile ledger) {
        List<LedgerFile.Line> passes = ledger.passes(part.visit().id());
        return passes.isEmpty() ? 0 : passes.get(passes.size() - 1).seq();
    }

    /** Four cells to a digit, the lowest first, as the browser writes them. */
    public static String written(BitSet cells) {
        StringBuilder hex = new StringBuilder();
        for (int i = 0; i < cells.length(); i += 4) {
            int digit = 0;
            for (int b = 0; b < 4; b++) {
                digit |= cells.get(i + b) ? 1 << b : 0;
            }
            hex.append(Character.forDigit(digit, 16));
        }
        return hex.toString();
    }

    private static BitSet bits(String hex) {
        BitSet bits = new BitSet();
        for (int i = 0; i < hex.length(); i++) {
            int digit = Character.digit(hex.charAt(i), 16);
            for (int b = 0; b < 4; b++) {
                bits.set(4 * i + b, (digit >> b & 1) == 1);
            }
        }
        return bits;
    }
}
