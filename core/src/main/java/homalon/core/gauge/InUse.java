package homalon.core.gauge;

import homalon.core.words.Message;
import java.time.LocalDate;
import java.util.Optional;

/**
 * An instrument as it was when it was taken in hand: what is changed about it later changes nothing of what it read.
 *
 * @param standard uncertainty that it adds to a figure
 * @param state on that day
 * @param due when it was to be compared
 */
public record InUse(
        String code,
        String name,
        InstrumentKind kind,
        double standard,
        GaugeStanding.State state,
        Optional<LocalDate> due) {

    public static InUse of(Instrument instrument, GaugeStanding standing) {
        return new InUse(
                instrument.code(),
                instrument.name(),
                instrument.kind(),
                instrument.standard(),
                standing.state(),
                standing.due());
    }

    /** What it says of an instrument that was not to be relied on; empty of a good one. */
    public Optional<Message> mark() {
        if (!state.marks()) {
            return Optional.empty();
        }
        String called = code + " " + name;
        return Optional.of(
                state == GaugeStanding.State.PAST_DUE && due.isPresent()
                        ? Message.of("gauge.read-with-past-due-since", called, due.get())
                        : state == GaugeStanding.State.OUT
                                ? Message.of("gauge.read-with-found-out", called)
                                : Message.of("gauge.read-with-never-compared", called));
    }
}
