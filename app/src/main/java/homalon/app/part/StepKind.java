package homalon.app.part;

import homalon.core.route.Operation;
import java.util.Optional;

/** The steps of a visit in the order in which the work goes; those with a page of their own. */
public enum StepKind {
    BOOKED("Booked in", "intake", 'i', null),
    CLEAN("Clean", "clean", 'w', Operation.CLEAN),
    CRACKS("Cracks", "cracks", 'x', Operation.CRACK_CHECK),
    REPAIR("Repair", "route", 'o', null),
    PRESSURE("Pressure", "pressure", 'r', Operation.PRESSURE_TEST),
    LINE("Line", "line", 'l', Operation.LINE_CHECK),
    VALVES("Valves", "valves", 'a', Operation.VALVE_CHECK),
    FACE("Face", "face", 'f', Operation.FACE_CHECK),
    INDEX("Index", "index", 'y', Operation.DECK_INDEX),
    GUIDES("Guides", "guides", 'm', Operation.GUIDE_WORK),
    INSERTS("Inserts", "inserts", 'n', Operation.INSERT),
    CHAMBERS("Chambers", "chambers", 'e', Operation.CHAMBER_FILL),
    PLAN("Plan", "plan", 'p', Operation.CUT_PLAN),
    CUT("Cut", "cut", 'c', Operation.CUT),
    PROVE("Prove", "proof", 'v', Operation.PROOF),
    SEATS("Seats", "seats", 't', Operation.SEAT_WORK),
    LINERS("Liners", "liners", 's', Operation.LINER_CHECK),
    HAND_OVER("Hand over", "report", 'h', Operation.HAND_OVER);

    private final String words;
    private final String path;
    private final char key;
    private final Operation operation;

    StepKind(String words, String path, char key, Operation operation) {
        this.words = words;
        this.path = path;
        this.key = key;
        this.operation = operation;
    }

    public String words() {
        return words;
    }

    /** What the route calls it; empty for what is no operation by itself. */
    public Optional<Operation> operation() {
        return Optional.ofNullable(operation);
    }

    /** Last part of the step's address. */
    public String path() {
        return path;
    }

    /** Goes to the step after {@code g}. */
    public char key() {
        return key;
    }
}
