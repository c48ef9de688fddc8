package homalon.app.casting.readings;

import homalon.core.geometry.Spot;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;

/**
 * A line of the record, as it was keyed.
 *
 * @param walk as it stands in the address of its page
 * @param seq goes up with every line of its walk
 * @param place in words
 * @param spot on the face, mm; empty where the place is none of the face
 * @param seals whether the gasket seals there; empty where nobody asks
 * @param kind what was done: keyed, skipped, taken back, or what a blade said
 * @param typed as it was keyed; what an instrument showed in its own unit
 * @param unit in which a bare number was meant, as it is labelled
 * @param value empty for what is no length
 * @param stands false once it was taken back or another took its place
 */
public record KeyedLine(
        UUID visit,
        String walk,
        long seq,
        String place,
        Optional<Spot> spot,
        Optional<Boolean> seals,
        String kind,
        String typed,
        String unit,
        Optional<Length> value,
        boolean stands,
        UUID by,
        Instant at) {}
