package homalon.app.outcome.calc;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.Arrays;
import java.util.Objects;

/** Asks for the numbers that a call cannot do without, so that all that are missing are told at once. */
final class Required {
    private final Problems problems = new Problems();

    /** Zero when it is missing, which {@link #check} then refuses. */
    double number(String field, Double value, String whatFor) {
        problems.require(value != null, field, "app.calc.is-required", field, whatFor);
        return value == null ? 0 : value;
    }

    <T> T value(String field, T value, String whatFor) {
        problems.require(value != null, field, "app.calc.is-required", field, whatFor);
        return value;
    }

    boolean require(boolean condition, String field, String sentence) {
        return problems.require(condition, field, Message.plain(sentence));
    }

    /** True when all of a group were sent; those missing of a group that was begun are told. */
    boolean together(String[] fields, Double... values) {
        long sent = Arrays.stream(values).filter(Objects::nonNull).count();
        for (int i = 0; sent > 0 && i < fields.length; i++) {
            problems.require(
                    values[i] != null,
                    fields[i],
                    "app.calc.is-needed-beside-the-others",
                    fields[i],
                    String.join(", ", fields));
        }
        return sent == fields.length;
    }

    void check() {
        problems.throwIfAny();
    }

    static double or(Double value, double otherwise) {
        return value == null ? otherwise : value;
    }
}
