package homalon.core.ledger;

import java.time.Instant;
import java.util.Optional;

/** Figures of a face or a thickness as they were before the cut: what is read after it belongs on the sheet for after. */
public final class BeforeFigure {
    private BeforeFigure() {}

    /**
     * Whether a figure keyed now on the sheet for before is asked about first.
     *
     * @param thickness true for a thickness, which the cut changes everywhere: one that is keyed for the first time is asked about
     *     as well
     * @param read when the figure that stands at this place was read; empty where none does
     * @param lastPass when the face was cut last on this visit; empty when it was not
     */
    public static boolean asks(boolean thickness, Optional<Instant> read, Optional<Instant> lastPass) {
        if (lastPass.isEmpty()) {
            return false;
        }
        return read.map(at -> at.isBefore(lastPass.get())).orElse(thickness);
    }
}
