package homalon.core.input;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/** Collects what is wrong with an input, so that all of it can be said at once. */
public final class Problems {
    private final List<BadInputException.Problem> found = new ArrayList<>();

    /** Adds the sentence when the condition does not hold; true when it does hold. */
    public boolean require(boolean condition, String field, Message sentence) {
        if (!condition) {
            found.add(new BadInputException.Problem(field, sentence));
        }
        return condition;
    }

    /** The same with the sentence by its code and what stands in it, see {@link Message#of(String, Object...)}. */
    public boolean require(boolean condition, String field, String code, Object... args) {
        return condition || require(false, field, Message.of(code, args));
    }

    public boolean none() {
        return found.isEmpty();
    }

    /** @throws BadInputException with everything collected, when there is anything. */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new BadInputException(found);
        }
    }
}
