package homalon.core.visit;

import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.visit.ReadWith.Taken;
import java.time.Instant;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Instruments of one kind at one step of a visit.
 *
 * @param uses those that something which stands was read with, and the one in hand
 * @param without whether something was read while none was noted, or none is in hand now
 * @param changed whether one was taken for another, or put away
 */
record InHand(InstrumentKind kind, List<InUse> uses, boolean without, boolean changed) {
    InHand {
        uses = List.copyOf(uses);
    }

    /**
     * Of each kind that was ever taken in hand.
     *
     * @param taken in order of time
     * @param readings when what stands was read
     */
    static List<InHand> of(List<Taken> taken, List<Instant> readings) {
        Map<InstrumentKind, List<Taken>> kinds = new EnumMap<>(InstrumentKind.class);
        taken.forEach(
                t -> kinds.computeIfAbsent(t.kind(), k -> new ArrayList<>()).add(t));
        return kinds.entrySet().stream()
                .map(e -> new Spells(e.getValue(), readings).inHand(e.getKey()))
                .toList();
    }

    /** What one kind of instrument read, from one taking to the next. */
    private record Spells(List<Taken> taken, List<Instant> readings) {
        InHand inHand(InstrumentKind kind) {
            return new InHand(kind, uses(), without(), taken.size() > 1);
        }

        private boolean reads(int from) {
            Instant begin = taken.get(from).at();
            Optional<Instant> end =
                    from + 1 < taken.size() ? Optional.of(taken.get(from + 1).at()) : Optional.empty();
            return readings.stream()
                    .anyMatch(r -> !r.isBefore(begin) && end.map(r::isBefore).orElse(true));
        }

        private List<InUse> uses() {
            List<InUse> uses = new ArrayList<>();
            for (int i = 0; i < taken.size(); i++) {
                if (taken.get(i).use().isPresent() && (i + 1 == taken.size() || reads(i))) {
                    uses.add(taken.get(i).use().get());
                }
            }
            return uses;
        }

        private boolean without() {
            for (int i = 0; i < taken.size(); i++) {
                if (taken.get(i).use().isEmpty() && (i + 1 == taken.size() || reads(i))) {
                    return true;
                }
            }
            Instant first = taken.get(0).at();
            return readings.stream().anyMatch(r -> r.isBefore(first));
        }
    }
}
