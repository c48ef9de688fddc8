package homalon.core.chambers;

import homalon.core.words.Message;

/**
 * A class rule against what was measured: it counts as passed only by more than two standard uncertainties, and as failed by as
 * much.
 *
 * @param margin how far inside the rule, in its unit; negative outside
 * @param plusMinus one standard uncertainty of what was measured
 */
public record ClassMargin(double margin, double plusMinus) {
    /** How it stands. */
    public enum Standing {
        PASSES,
        ON_THE_LINE,
        FAILS;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    private static final double SLACK = 1e-9;
    /** So many standard uncertainties are kept on both sides of a class rule. */
    public static final double COVERAGE = 2;

    public static ClassMargin atLeast(double value, double limit, double plusMinus) {
        return new ClassMargin(value - limit, plusMinus);
    }

    public static ClassMargin atMost(double value, double limit, double plusMinus) {
        return new ClassMargin(limit - value, plusMinus);
    }

    public Standing standing() {
        double open = COVERAGE * plusMinus;
        if (margin > open + SLACK) {
            return Standing.PASSES;
        }
        return margin < -open - SLACK ? Standing.FAILS : Standing.ON_THE_LINE;
    }
}
