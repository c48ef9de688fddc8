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
 * @param corners metal off at the corners of the face by a pass that was worked out from a map; empty where nothing says that it
 *     was other than the depth
 */
public record Entry(
        UUID id, UUID job, Kind kind, Length depth, Optional<UUID> reverses, Optional<CornerDepths> corners) {
    public Entry(UUID id, UUID job, Kind kind, Length depth, Optional<UUID> reverses) {
        this(id, job, kind, depth, reverses, Optional.empty());
    }

    /** Metal off at the corners: as worked out, else the depth everywhere. */
    public CornerDepths atCorners() {
        return corners.orElse(CornerDepths.even(depth));
    }

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
