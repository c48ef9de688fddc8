package homalon.core.verdict;

import java.util.ArrayList;
import java.util.List;

/**
 * How a figure was reached, line by line, with the numbers in it. A line is a sentence or formula in which {@code {}}
 * stands for the next of its lengths (millimetres), so that a screen can write them in the reader's unit.
 *
 * @param title what is worked out
 * @param lines the steps in order
 */
public record Working(String title, List<Line> lines) {
    public Working {
        lines = List.copyOf(lines);
    }

    /**
     * One step.
     *
     * @param text with {@code {}} for each length
     * @param lengths millimetres, in the order of the placeholders
     */
    public record Line(String text, List<Double> lengths) {
        public Line {
            lengths = List.copyOf(lengths);
        }
    }

    public static Builder of(String title) {
        return new Builder(title);
    }

    /** Collects the lines. */
    public static final class Builder {
        private final String title;
        private final List<Line> lines = new ArrayList<>();

        private Builder(String title) {
            this.title = title;
        }

        public Builder line(String text, double... lengthsMm) {
            List<Double> boxed = new ArrayList<>(lengthsMm.length);
            for (double mm : lengthsMm) {
                boxed.add(mm);
            }
            lines.add(new Line(text, boxed));
            return this;
        }

        public Working done() {
            return new Working(title, lines);
        }
    }
}
