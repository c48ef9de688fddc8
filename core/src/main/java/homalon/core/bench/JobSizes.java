package homalon.core.bench;

import homalon.core.part.PartKind;
import homalon.core.route.Operation;
import java.util.Map;
import java.util.function.Function;

/** How much there is to do at a casting, as long as nothing has been counted: general values by its cylinders. */
public final class JobSizes {
    /** Valves of a cylinder, where nobody has measured one. */
    private static final int VALVES = 2;
    /** Passes of a cut that is not planned. */
    private static final int PASSES = 2;

    private JobSizes() {}

    /**
     * @param counted of what an operation is about, where that is known: guides to mend, rings to fit
     * @param passes planned; 0 for none
     */
    public static Function<Operation, JobSize> of(
            PartKind kind, int cylinders, Map<Operation, Integer> counted, int passes) {
        int valves = kind == PartKind.HEAD ? VALVES * cylinders : 0;
        return operation -> new JobSize(
                cylinders,
                valves,
                counted.getOrDefault(operation, usual(operation, cylinders, valves)),
                passes > 0 ? passes : PASSES);
    }

    private static int usual(Operation operation, int cylinders, int valves) {
        return switch (operation) {
            case GUIDE_WORK, SEAT_WORK -> valves;
            case LINER_TRIM -> cylinders;
            default -> 1;
        };
    }
}
