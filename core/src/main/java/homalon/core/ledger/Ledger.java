package homalon.core.ledger;

import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import homalon.core.rulebook.RuleBook;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;

/** All lines of one face of one part, in the order written. Immutable; totals by replay. */
public final class Ledger {
    /** How sure the figure from before our time is. */
    public enum Opening {
        KNOWN,
        ESTIMATED,
        UNKNOWN,
        /** Nothing was entered yet; told apart from unknown, which is an answer. */
        NOT_ASKED
    }

    /**
     * @param thisJob passes of one visit that stand
     * @param before the opening figure, zero when unknown
     * @param life opening figure and all passes that stand; a least figure unless the opening is known
     * @param opening how sure the opening figure is
     */
    public record Totals(Length thisJob, Length before, Length life, Opening opening) {}

    private final List<Entry> entries;
    private final Set<UUID> reversed;

    public Ledger(List<Entry> entries) {
        this.entries = List.copyOf(entries);
        this.reversed = new HashSet<>();
        entries.forEach(e -> e.reverses().ifPresent(reversed::add));
    }

    public List<Entry> entries() {
        return entries;
    }

    /** True for a line that was neither reversed nor is a reversal itself. */
    public boolean stands(Entry entry) {
        return entry.kind() != Entry.Kind.REVERSAL && !reversed.contains(entry.id());
    }

    public Totals totals(UUID job) {
        Length thisJob = Length.ZERO;
        Length before = Length.ZERO;
        Length passes = Length.ZERO;
        Opening opening = Opening.NOT_ASKED;
        for (Entry entry : entries) {
            if (!stands(entry)) {
                continue;
            }
            if (entry.kind() == Entry.Kind.PASS) {
                passes = passes.plus(entry.depth());
                thisJob = entry.job().equals(job) ? thisJob.plus(entry.depth()) : thisJob;
            } else {
                before = entry.depth();
                opening = switch (entry.kind()) {
                    case OPENING_KNOWN -> Opening.KNOWN;
                    case OPENING_ESTIMATED -> Opening.ESTIMATED;
                    default -> Opening.UNKNOWN;
                };
            }
        }
        return new Totals(thisJob, before, before.plus(passes), opening);
    }

    /**
     * Metal off at the corners.
     *
     * @param thisJob by the passes of one visit that stand
     * @param life with the opening figure, which counts at every corner
     * @param told true when some pass that stands was booked corner by corner
     */
    public record CornerTotals(CornerDepths thisJob, CornerDepths life, boolean told) {}

    public CornerTotals corners(UUID job) {
        CornerDepths here = CornerDepths.NONE;
        CornerDepths life = CornerDepths.NONE;
        boolean told = false;
        for (Entry entry : entries) {
            if (stands(entry)) {
                life = life.plus(entry.atCorners());
                here = entry.kind() == Entry.Kind.PASS && entry.job().equals(job) ? here.plus(entry.atCorners()) : here;
                told |= entry.corners().isPresent();
            }
        }
        return new CornerTotals(here, life, told);
    }

    /** The passes of one visit that stand, in order. */
    public List<Entry> standingPasses(UUID job) {
        List<Entry> standing = new ArrayList<>();
        for (Entry entry : entries) {
            if (entry.kind() == Entry.Kind.PASS && entry.job().equals(job) && stands(entry)) {
                standing.add(entry);
            }
        }
        return standing;
    }

    /** @throws BadInputException when a pass of that depth cannot be meant */
    public static void checkPass(Length depth) {
        if (depth.signum() < 0) {
            throw new BadInputException("depth", "ledger.a-pass-takes-metal-off-key-its-depth");
        }
        if (depth.signum() == 0) {
            throw new BadInputException("depth", "ledger.a-pass-of-nothing-is-no-pass-key-what");
        }
        if (depth.compareTo(RuleBook.DEEPEST_PASS) > 0) {
            throw new BadInputException("depth", "ledger.no-pass-is-that-deep-key-at-most-2-mm");
        }
    }

    /** @throws BadInputException when the opening figure cannot be meant, or another one stands */
    public void checkOpening(Entry.Kind kind, Length depth) {
        if (depth.signum() < 0 || depth.mm() > 20) {
            throw new BadInputException("depth", "ledger.removed-before-key-from-0-to-20-mm-or");
        }
        if (kind == Entry.Kind.OPENING_UNKNOWN && depth.signum() != 0) {
            throw new BadInputException("depth", "ledger.nobody-knows-or-a-figure-not-both");
        }
        if (entries.stream().anyMatch(e -> e.kind().isOpening() && stands(e))) {
            throw new BadInputException("depth", "ledger.an-opening-figure-stands-already");
        }
    }

    /**
     * The line that may be reversed.
     *
     * @throws BadInputException when there is no such line, or it was taken back before
     */
    public Entry reversible(UUID id) {
        Optional<Entry> found = entries.stream().filter(e -> e.id().equals(id)).findFirst();
        Entry entry = found.orElseThrow(
                () -> new BadInputException("reverses", "ledger.there-is-no-such-line-in-this-ledger"));
        if (!stands(entry)) {
            throw new BadInputException("reverses", "ledger.that-line-was-taken-back-already-write");
        }
        return entry;
    }
}
