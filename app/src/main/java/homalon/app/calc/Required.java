package homalon.app.calc;

import homalon.core.input.Problems;

/** Asks for the numbers that a call cannot do without, so that all that are missing are told at once. */
final class Required {
    private final Problems problems = new Problems();

    /** NaN when it is missing, which {@link #check} then refuses. */
    double number(String field, Double value, String whatFor) {
        problems.require(value != null, field, field + " is required: " + whatFor + ".");
        return value == null ? Double.NaN : value;
    }

    <T> T value(String field, T value, String whatFor) {
        problems.require(value != null, field, field + " is required: " + whatFor + ".");
        return value;
    }

    void check() {
        problems.throwIfAny();
    }

    static double or(Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
