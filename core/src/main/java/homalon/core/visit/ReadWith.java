package homalon.core.visit;

import homalon.core.gauge.Closing;
import homalon.core.gauge.Corrections;
import homalon.core.gauge.InUse;
import homalon.core.gauge.InstrumentKind;
import homalon.core.gauge.Uncertain;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What a face was read with, and what that leaves open.
 *
 * @param keyed what is kept on both sides of each limit as somebody said at the start, or the usual
 * @param byKeyed whether a reading rests on that, because no gauge was noted for it
 * @param instruments that a standing reading rests on, and those that are in hand now
 * @param changed whether one of a kind was taken for another while it was read
 * @param closing the first place read once more
 * @param corrections what is taken off each reading
 */
public record ReadWith(
        Length keyed,
        boolean byKeyed,
        List<InUse> instruments,
        boolean changed,
        Optional<Closing> closing,
        Corrections corrections) {
    public ReadWith {
        instruments = List.copyOf(instruments);
    }

    /**
     * An instrument taken in hand, or put away.
     *
     * @param use empty where it was put away
     */
    public record Taken(Instant at, InstrumentKind kind, Optional<InUse> use) {}

    /** Nothing is known of instruments. */
    public static ReadWith keyed(Length keyed) {
        return new ReadWith(keyed, true, List.of(), false, Optional.empty(), Corrections.NONE);
    }

    /**
     * @param taken in order of time
     * @param readings when what stands was read
     */
    public static ReadWith of(Length keyed, List<Taken> taken, List<Instant> readings, Optional<Closing> closing) {
        List<InUse> all = new ArrayList<>();
        boolean gauge = false;
        boolean byKeyed = false;
        boolean changed = false;
        for (InHand one : InHand.of(taken, readings)) {
            boolean table = one.kind() == InstrumentKind.TABLE;
            one.uses().stream().filter(u -> !all.contains(u)).forEach(all::add);
            gauge |= !table;
            byKeyed |= !table && one.without();
            changed |= one.changed();
        }
        return new ReadWith(keyed, byKeyed || !gauge, all, changed, closing, Corrections.NONE);
    }

    /** The same with something to take off each reading. */
    public ReadWith with(Corrections known) {
        return new ReadWith(keyed, byKeyed, instruments, changed, closing, known);
    }

    /** Of gauge and table, without what moved: of a kind that was changed the coarser counts. */
    public double standard() {
        double gauge = byKeyed ? keyed.mm() / Uncertain.KEPT : 0;
        double table = 0;
        for (InUse use : instruments) {
            if (use.kind() == InstrumentKind.TABLE) {
                table = Math.max(table, use.standard());
            } else {
                gauge = Math.max(gauge, use.standard());
            }
        }
        return Math.hypot(gauge, table);
    }

    /** What is kept on both sides of each limit: twice what gauge, table and anything that moved leave open, to a tenth of a micrometre. */
    public Length kept() {
        if (instruments.isEmpty() && closing.filter(c -> !c.held()).isEmpty()) {
            return keyed;
        }
        return Length.ofNanometres(Math.round(Uncertain.KEPT * Math.hypot(standard(), drift()) * 1e4) * 100);
    }

    private double drift() {
        return closing.map(Closing::standard).orElse(0.0);
    }

    /** The same where each of these errors was found in an instrument: within it, every error is as likely. */
    public ReadWith off(String code, double error) {
        List<InUse> found = new ArrayList<>();
        for (InUse use : instruments) {
            double standard = Math.max(
                    use.standard(), Uncertain.within(0, Math.abs(error)).standard());
            found.add(
                    use.code().equals(code)
                            ? new InUse(use.code(), use.name(), use.kind(), standard, use.state(), use.due())
                            : use);
        }
        return new ReadWith(keyed, byKeyed, found, changed, closing, corrections);
    }
}
