package homalon.core.gauge;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How an instrument stands on a day.
 *
 * @param due when it is to be compared; empty for one without a term, and for one that was never compared
 * @param lastGood when it was last found good; empty for never
 */
public record GaugeStanding(State state, Optional<LocalDate> due, Optional<LocalDate> lastGood) {
    /** So many days before it is due it is said. */
    private static final int SOON = 14;

    /** Whether it may be relied on. */
    public enum State {
        /** Compared, and found good; due later if ever. */
        GOOD,
        SOON,
        /** It has a term that ran out. What it read is marked. */
        PAST_DUE,
        /** Nobody ever compared it. What it read is marked. */
        NEVER,
        /** The last comparison found it outside of what it is said to be good to: nothing is read with it. */
        OUT;

        /** Whether what it reads is marked wherever it is shown. */
        public boolean marks() {
            return this == PAST_DUE || this == NEVER || this == OUT;
        }

        public Message words() {
            return Message.of(this);
        }
    }

    /**
     * @param compared in any order; what came after the day is left out
     * @param day on which is asked
     */
    public static GaugeStanding of(Instrument instrument, List<Compared> compared, LocalDate day) {
        List<Compared> until = compared.stream()
                .filter(c -> !c.on().isAfter(day))
                .sorted(Comparator.comparing(Compared::on))
                .toList();
        if (until.isEmpty()) {
            return new GaugeStanding(State.NEVER, Optional.empty(), Optional.empty());
        }
        Optional<LocalDate> good =
                until.stream().filter(c -> c.kept(instrument)).map(Compared::on).max(Comparator.naturalOrder());
        Compared last = until.get(until.size() - 1);
        Optional<LocalDate> due = instrument.months().isPresent()
                ? Optional.of(last.on().plusMonths(instrument.months().getAsInt()))
                : Optional.empty();
        if (!last.kept(instrument)) {
            return new GaugeStanding(State.OUT, due, good);
        }
        return new GaugeStanding(due.map(d -> termed(d, day)).orElse(State.GOOD), due, good);
    }

    /** The day itself is still in its term. */
    private static State termed(LocalDate due, LocalDate day) {
        if (day.isAfter(due)) {
            return State.PAST_DUE;
        }
        return due.minusDays(SOON).isAfter(day) ? State.GOOD : State.SOON;
    }
}
