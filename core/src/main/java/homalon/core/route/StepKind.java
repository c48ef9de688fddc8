package homalon.core.route;

import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The steps of a visit in the order in which the work goes. */
public enum StepKind {
    BOOKED("Booked in", null),
    CLEAN("Clean", Operation.CLEAN),
    CRACKS("Cracks", Operation.CRACK_CHECK),
    REPAIR("Repair", null),
    PRESSURE("Pressure", Operation.PRESSURE_TEST),
    LINE("Line", Operation.LINE_CHECK),
    VALVES("Valves", Operation.VALVE_CHECK),
    FACE("Face", Operation.FACE_CHECK),
    INDEX("Index", Operation.DECK_INDEX),
    GUIDES("Guides", Operation.GUIDE_WORK),
    INSERTS("Inserts", Operation.INSERT),
    CHAMBERS("Chambers", Operation.CHAMBER_FILL),
    PLAN("Plan", Operation.CUT_PLAN),
    CUT("Cut", Operation.CUT),
    PROVE("Prove", Operation.PROOF),
    SEATS("Seats", Operation.SEAT_WORK),
    LINERS("Liners", Operation.LINER_CHECK),
    HAND_OVER("Hand over", Operation.HAND_OVER);

    private final String words;
    private final @Nullable Operation operation;

    StepKind(String words, @Nullable Operation operation) {
        this.words = words;
        this.operation = operation;
    }

    public String words() {
        return words;
    }

    /** What the route calls it; empty for what is no operation by itself. */
    public Optional<Operation> operation() {
        return Optional.ofNullable(operation);
    }
}
