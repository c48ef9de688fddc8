package homalon.core.input;

import homalon.core.words.Message;
import java.util.List;

/**
 * A caller's mistakes, all of them at once, each naming the field, what is wrong with it and what would be right. Not
 * for numerical failure.
 */
public final class BadInputException extends RefusedInputException {
    private static final long serialVersionUID = 1L;

    private final transient List<Problem> problems;

    /**
     * One mistake.
     *
     * @param field the field as the caller knows it, such as {@code points[3]}
     * @param sentence what is wrong and what to give instead
     */
    public record Problem(String field, Message sentence) {}

    public BadInputException(List<Problem> problems) {
        super(problems.stream().map(Problem::sentence).collect(Message.joining("text.space")));
        this.problems = List.copyOf(problems);
    }

    /** The sentence by its code and what stands in it, see {@link Message#of(String, Object...)}. */
    public BadInputException(String field, String code, Object... args) {
        this(field, Message.of(code, args));
    }

    public BadInputException(String field, Message sentence) {
        this(List.of(new Problem(field, sentence)));
    }

    public List<Problem> problems() {
        return problems;
    }
}
