package homalon.core.visit;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.TreeMap;

/**
 * Days that a customer was told, and what became of them. A day that was put off counts as not kept: whoever relied on it was told
 * something else. One that was put forward does not count, the new day does.
 */
public final class Promises {
    /** From fewer no share is told. */
    public static final int ENOUGH = 10;

    private Promises() {}

    /** What became of a promise. */
    public enum Fate {
        /** Its day is to come, or it is today. */
        OPEN,
        /** Its day is over and the casting is still here. */
        LATE,
        KEPT,
        /** It left after its day. */
        BROKEN,
        /** Another day, a later one, was said after it. */
        PUT_OFF,
        /** An earlier day, or the same, was said after it. */
        REPLACED;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }

        /** Whether it counts among those that were kept or not. */
        public boolean counts() {
            return this == KEPT || this == BROKEN || this == PUT_OFF || this == LATE;
        }
    }

    /**
     * @param said days in the order in which they were said for one visit
     * @param left the day on which it was handed over
     * @return for each of them
     */
    public static List<Fate> of(List<LocalDate> said, Optional<LocalDate> left, LocalDate today) {
        List<Fate> fates = new ArrayList<>();
        for (int i = 0; i < said.size(); i++) {
            LocalDate day = said.get(i);
            if (i + 1 < said.size()) {
                fates.add(said.get(i + 1).isAfter(day) ? Fate.PUT_OFF : Fate.REPLACED);
            } else if (left.isPresent()) {
                fates.add(left.get().isAfter(day) ? Fate.BROKEN : Fate.KEPT);
            } else {
                fates.add(today.isAfter(day) ? Fate.LATE : Fate.OPEN);
            }
        }
        return fates;
    }

    /**
     * How many were kept.
     *
     * @param kept of those
     * @param all that count
     */
    public record Count(int kept, int all) {
        /** Of a hundred; empty where there are too few to say. */
        public OptionalInt percent() {
            return all < ENOUGH ? OptionalInt.empty() : OptionalInt.of((int) Math.round(100.0 * kept / all));
        }

        Count and(Fate fate) {
            return fate.counts() ? new Count(kept + (fate == Fate.KEPT ? 1 : 0), all + 1) : this;
        }
    }

    /** One that is counted, by what it is for. */
    public record Counted(String kind, Fate fate) {}

    /** By kind, those of which some count. */
    public static Map<String, Count> count(List<Counted> all) {
        Map<String, Count> by = new TreeMap<>();
        all.stream()
                .filter(c -> c.fate().counts())
                .forEach(c -> by.merge(
                        c.kind(), new Count(0, 0).and(c.fate()), (a, b) -> new Count(a.kept + b.kept, a.all + b.all)));
        return by;
    }
}
