package homalon.core.verdict;

import homalon.core.words.Message;
import java.util.ArrayList;
import java.util.List;

/**
 * How a figure was reached, line by line, with the numbers in it. A line is a sentence or formula; its lengths are in it as such, so
 * that a screen can write them in the reader's unit.
 *
 * @param title what is worked out
 * @param lines the steps in order
 */
public record Working(Message title, List<Message> lines) {
    public Working {
        lines = List.copyOf(lines);
    }

    public static Builder of(Message title) {
        return new Builder(title);
    }

    /** Collects the lines. */
    public static final class Builder {
        private final Message title;
        private final List<Message> lines = new ArrayList<>();

        private Builder(Message title) {
            this.title = title;
        }

        /**
         * One step more.
         *
         * @param lengthsMm after what stands in the text already
         */
        public Builder line(Message text, double... lengthsMm) {
            lines.add(text.with(lengthsMm));
            return this;
        }

        public Working done() {
            return new Working(title, lines);
        }
    }
}
