package homalon.core.route;

import homalon.core.words.Message;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The steps of a visit in the order in which the work goes. */
public enum StepKind {
    BOOKED(null),
    CLEAN(Operation.CLEAN),
    CRACKS(Operation.CRACK_CHECK),
    REPAIR(null),
    PRESSURE(Operation.PRESSURE_TEST),
    LINE(Operation.LINE_CHECK),
    VALVES(Operation.VALVE_CHECK),
    FACE(Operation.FACE_CHECK),
    INDEX(Operation.DECK_INDEX),
    CHOICE(Operation.CHOICE),
    GUIDES(Operation.GUIDE_WORK),
    INSERTS(Operation.INSERT),
    CHAMBERS(Operation.CHAMBER_FILL),
    PLAN(Operation.CUT_PLAN),
    CUT(Operation.CUT),
    PROVE(Operation.PROOF),
    SEATS(Operation.SEAT_WORK),
    LINERS(Operation.LINER_CHECK),
    HAND_OVER(Operation.HAND_OVER);

    private final Message words = Message.of(this);
    private final @Nullable Operation operation;

    StepKind(@Nullable Operation operation) {
        this.operation = operation;
    }

    public Message words() {
        return words;
    }

    /** What the route calls it; empty for what is no operation by itself. */
    public Optional<Operation> operation() {
        return Optional.ofNullable(operation);
    }
}
