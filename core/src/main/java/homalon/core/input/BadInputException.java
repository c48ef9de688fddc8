package homalon.core.input;

import java.util.List;
import java.util.Objects;
import java.util.stream.Collectors;

/**
 * A caller's mistakes, all of them at once, each naming the field, what is wrong with it and what would be right. Not
 * for numerical failure.
 */
public final class BadInputException extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;

    /**
     * One mistake.
     *
     * @param field the field as the caller knows it, such as {@code points[3]}
     * @param sentence what is wrong and what to give instead
     */
    public record Problem(String field, String sentence) {}

    public BadInputException(List<Problem> problems) {
        super(problems.stream().map(Problem::sentence).collect(Collectors.joining(" ")));
        this.problems = List.copyOf(problems);
    }

    public BadInputException(String field, String sentence) {
        this(List.of(new Problem(field, sentence)));
    }

    /** Every sentence, one after the other. */
    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }

    public List<Problem> problems() {
        return problems;
    }
}
