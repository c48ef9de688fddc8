package homalon.core.visit;

import homalon.core.geometry.Spot;
import homalon.core.integrity.Decay;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;

/**
 * A pressure test as it stands.
 *
 * @param medium and way: air under water
 * @param readings in time
 * @param bubbles where they were seen
 * @param looked someone said that none were seen
 */
public record TestFile(
        UUID id,
        String medium,
        boolean wet,
        Decay.Asked asked,
        UUID by,
        Instant at,
        List<ReadingFile> readings,
        List<BubbleFile> bubbles,
        boolean looked) {
    /** One reading of the gauge; second since the first. */
    public record ReadingFile(UUID id, int second, double bar, OptionalDouble celsius, UUID by, Instant at) {}

    /** Where bubbles were seen. */
    public record BubbleFile(UUID id, String where, Spot spot, UUID by, Instant at) {}

    public Decay.Bubbles seen() {
        if (!bubbles.isEmpty()) {
            return Decay.Bubbles.SEEN;
        }
        return looked ? Decay.Bubbles.NONE : Decay.Bubbles.NOT_LOOKED;
    }

    public Decay decay() {
        return Decay.of(
                readings.stream()
                        .map(r -> new Decay.Reading(r.second() / 60.0, r.bar(), r.celsius()))
                        .toList(),
                wet,
                seen(),
                asked);
    }

    /** When it was last written. */
    public Instant lastAt() {
        Instant last = at;
        for (ReadingFile r : readings) {
            last = r.at().isAfter(last) ? r.at() : last;
        }
        return last;
    }
}
