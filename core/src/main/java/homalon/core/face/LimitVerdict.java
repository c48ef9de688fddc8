package homalon.core.face;

import homalon.core.geometry.Spot;
import homalon.core.rulebook.FlatnessLimit;
import homalon.core.verdict.Verdict;
import homalon.core.verdict.Working;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One limit and what is proven of it.
 *
 * @param limit in force, with its source
 * @param readings how the readings by themselves stand to it
 * @param verdict three-valued
 * @param value worst zone found for it, mm; empty when nothing could be worked out
 * @param why in words, for a verdict that is not plain from the figure
 * @param next where to measure next, when that would help to prove it
 * @param working the sum
 */
public record LimitVerdict(
        FlatnessLimit limit,
        Readings readings,
        Verdict verdict,
        OptionalDouble value,
        Message why,
        Optional<Spot> next,
        Working working) {

    /** How readings stand to a limit, with the instrument's uncertainty kept on both sides of it. */
    public enum Readings {
        /** Over it: that is proof, whatever lies between the places. */
        OVER,
        /** Nearer to it than the instrument tells. */
        CLOSE,
        /** Under it, but with too few places by the rule that asks for so many. */
        TOO_FEW,
        /** Under it. Whether the face is depends on what lies between the places. */
        UNDER
    }

    /** The same with what is known now of what lies between the places. */
    public LimitVerdict with(Verdict known, Message because, Optional<Spot> where, Working shown) {
        return new LimitVerdict(limit, readings, known, value, because, where, shown);
    }

    /** How far the worst zone lies over the limit (+) or under it (-), mm. */
    public OptionalDouble over() {
        return value.isPresent()
                ? OptionalDouble.of(value.getAsDouble() - limit.most().mm())
                : OptionalDouble.empty();
    }
}
