package homalon.core.ledger;

import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import homalon.core.quantity.NotALengthException;
import java.util.Locale;
import java.util.Set;

/**
 * Metal off a casting before its ledger began.
 *
 * @param kind an opening one
 * @param depth zero where nobody knows it
 */
public record Removal(Entry.Kind kind, Length depth) {
    private static final Set<String> NOBODY_KNOWS = Set.of("unknown", "?", "not known");

    /**
     * @param removed a depth, or {@code unknown}
     * @param is {@code known} where a paper or a stamp says so; {@code estimated} or nothing for a guess
     * @param unit of a bare number
     * @throws BadInputException saying what to write instead
     */
    public static Removal read(String removed, String is, BenchUnit unit) {
        if (NOBODY_KNOWS.contains(removed.strip().toLowerCase(Locale.ROOT))) {
            return new Removal(Entry.Kind.OPENING_UNKNOWN, Length.ZERO);
        }
        Entry.Kind kind = switch (is.strip().toLowerCase(Locale.ROOT)) {
            case "known" -> Entry.Kind.OPENING_KNOWN;
            case "", "estimated" -> Entry.Kind.OPENING_ESTIMATED;
            case "unknown", "not known" ->
                throw new BadInputException("removed", "ledger.nobody-knows-or-a-figure-not-both");
            default -> throw new BadInputException("removed", "ledger.removed-is-known-or-estimated", is.strip());
        };
        try {
            return new Removal(kind, Length.parse(removed, unit));
        } catch (NotALengthException e) {
            throw new BadInputException("removed", e.sentence());
        }
    }
}
