package homalon.core.visit;

import homalon.core.route.Operation;
import homalon.core.words.Message;
import java.util.Optional;

/** What a customer owes the shop before work can go on. */
public enum Owed {
    /** A choice, an approval, a figure. */
    ANSWER,
    CAPS(Operation.LINE_CHECK),
    SHAFTS(Operation.LINE_CHECK),
    VALVES(Operation.VALVE_CHECK),
    DOWELS(Operation.HAND_OVER),
    BOLTS(Operation.TORQUE),
    GASKET(Operation.CUT_PLAN),
    MATING_PART(Operation.HAND_OVER),
    OTHER(Operation.HAND_OVER);

    private final Message words = Message.of(this);
    private final Optional<Operation> holds;

    Owed() {
        this.holds = Optional.empty();
    }

    Owed(Operation holds) {
        this.holds = Optional.of(holds);
    }

    public Message words() {
        return words;
    }

    /** With what it is exactly, where somebody said so. */
    public Message named(String exactly) {
        if (exactly.isBlank()) {
            return words;
        }
        return this == OTHER ? Message.plain(exactly) : Message.of("visit.owed-exactly", words, exactly);
    }

    /** What cannot be done before it is there; empty for all of it. */
    public Optional<Operation> holds() {
        return holds;
    }
}
