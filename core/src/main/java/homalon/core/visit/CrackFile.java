package homalon.core.visit;

import homalon.core.geometry.Spot;
import homalon.core.integrity.Crack;
import homalon.core.integrity.CrackRules;
import homalon.core.integrity.Remedy;
import homalon.core.integrity.Stitch;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A crack as it stands.
 *
 * @param crack its name through all its lines
 * @param no number on the drawing
 * @param bore index of the bore that it is at, from 0
 * @param remedy that was chosen
 * @param why reason of choosing otherwise than the rule; empty when it follows the rule
 * @param pin diameter of its pins; zero while none is chosen
 * @param since when this remedy was chosen
 */
public record CrackFile(
        UUID crack,
        int no,
        Crack what,
        int bore,
        Spot from,
        Spot to,
        Remedy remedy,
        String why,
        Length pin,
        UUID by,
        Instant at,
        Instant since) {
    public CrackRules.Rule rule() {
        return CrackRules.propose(what);
    }

    public boolean overruled() {
        return rule().remedy() != remedy;
    }

    /** Its row of pins, where it is stitched and the pin is chosen. */
    public Optional<Stitch> stitch() {
        boolean stitched = remedy == Remedy.STITCH || remedy == Remedy.STITCH_AND_INSERT;
        return stitched && pin.signum() > 0
                ? Optional.of(Stitch.of(what.length(), pin.mm(), Stitch.DEFAULT_OVERLAP))
                : Optional.empty();
    }
}
