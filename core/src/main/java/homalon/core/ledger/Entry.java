package homalon.core.ledger;

import homalon.core.quantity.Length;
import java.util.Optional;
import java.util.UUID;

/**
 * One line of the ledger.
 *
 * @param id made by whoever wrote it, so that a repeat stores once
 * @param job the visit it belongs to
 * @param kind what it records
 * @param depth taken off; zero for a reversal and for an opening that nobody knows
 * @param reverses the line that it takes back
 */
public record Entry(UUID id, UUID job, Kind kind, Length depth, Optional<UUID> reverses) {

    /** What a line records. */
    public enum Kind {
        /** Removed before we knew the part, from its paper or a stamp. */
        OPENING_KNOWN,
        /** The same as a guess: from the thickness, or what the customer remembers. */
        OPENING_ESTIMATED,
        /** Nobody knows what was taken off before: the life total is then a least figure. */
        OPENING_UNKNOWN,
        /** A pass of the cutter. */
        PASS,
        /** Takes one line back. */
        REVERSAL;

        public boolean isOpening() {
            return this == OPENING_KNOWN || this == OPENING_ESTIMATED || this == OPENING_UNKNOWN;
        }
    }
}
