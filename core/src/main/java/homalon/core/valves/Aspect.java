package homalon.core.valves;

import homalon.core.gauge.Uncertain;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One thing that was found of a valve.
 *
 * @param verdict empty where it was read and nothing says how it should be
 * @param figure the value found with what its gauges leave open, mm, kPa or seconds; empty where it was seen or felt
 * @param limit what it is held against; empty where there is none
 * @param source of the limit, in words
 * @param says in words
 * @param near nearer to its limit than its gauges can tell
 */
public record Aspect(
        Subject subject,
        Optional<Verdict> verdict,
        Optional<Uncertain> figure,
        OptionalDouble limit,
        Message source,
        Message says,
        boolean near,
        Optional<Working> working) {
    /** What it is about. */
    public enum Subject {
        GUIDE,
        WIDTH,
        PLACE,
        RUNOUT,
        PITS,
        HEIGHT,
        MARGIN,
        VACUUM,
        FALL,
        LOOKS,
        SPRING;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    public boolean is(Verdict which) {
        return verdict.filter(v -> v == which).isPresent();
    }
}
