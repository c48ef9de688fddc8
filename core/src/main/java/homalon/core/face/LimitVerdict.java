package homalon.core.face;

import homalon.core.geometry.Spot;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One limit and what the points prove of it.
 *
 * @param limit in force, with its source
 * @param verdict three-valued
 * @param value worst zone found for it, mm; empty when nothing could be worked out
 * @param why in words, for a verdict that is not plain from the figure
 * @param next where to measure next, when that would help to prove it
 * @param working the sum
 */
public record LimitVerdict(
        FlatnessLimit limit, Verdict verdict, OptionalDouble value, Message why, Optional<Spot> next, Working working) {

    /** How far the worst zone lies over the limit (+) or under it (-), mm. */
    public OptionalDouble over() {
        return value.isPresent()
                ? OptionalDouble.of(value.getAsDouble() - limit.most().mm())
                : OptionalDouble.empty();
    }
}
