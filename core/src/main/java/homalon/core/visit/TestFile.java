package homalon.core.visit;

import homalon.core.gauge.Uncertain;
import homalon.core.geometry.Spot;
import homalon.core.integrity.Decay;
import homalon.core.rulebook.BenchGauges;
import java.time.Instant;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.stream.Stream;

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

    /** @param gauges what the pressure gauge leaves open */
    public Decay decay(BenchGauges gauges) {
        return Decay.of(readings.stream().map(TestFile::reading).toList(), wet, seen(), asked, gauges);
    }

    /** What was lost with what gauge and thermometer leave open of it; nothing before the second reading. */
    public Uncertain lost(BenchGauges gauges) {
        if (readings.isEmpty()) {
            return Uncertain.exact(0);
        }
        return Decay.lost(reading(readings.get(0)), reading(readings.get(readings.size() - 1)), wet, gauges);
    }

    private static Decay.Reading reading(ReadingFile r) {
        return new Decay.Reading(r.second() / 60.0, r.bar(), r.celsius());
    }

    /** When the gauge was read in any of these. */
    public static Stream<Instant> read(List<TestFile> tests) {
        return tests.stream().flatMap(t -> t.readings.stream()).map(ReadingFile::at);
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
