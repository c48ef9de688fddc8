package homalon.core.rulebook;

import homalon.core.input.BadInputException;
import homalon.core.quantity.Length;
import java.util.List;
import java.util.Optional;

/**
 * The feelers that a shop has, thinnest first.
 *
 * @param blades 3 to 60 of them, each thicker than the one before
 */
public record BladeSet(List<Length> blades) {
    /** Half of the last digit shown at a thou bench, and a little. */
    private static final Length ROUNDED = Length.ofMm("0.0002");

    private static final int FEWEST = 3;
    private static final int MOST = 60;

    /** @throws BadInputException when there are too few or too many, or one is no blade */
    /** A blade that few sets have and every roll of shim stock gives: half a thou. */
    public static final Length SHIM = Length.ofMm("0.0127");

    public BladeSet {
        blades = blades.stream().distinct().sorted().toList();
        if (blades.size() < FEWEST || blades.size() > MOST) {
            throw new BadInputException("blades", "rulebook.feelers-key-3-to-60-different-blades");
        }
        if (blades.get(0).signum() <= 0 || blades.get(blades.size() - 1).mm() > 5) {
            throw new BadInputException("blades", "rulebook.feelers-a-blade-is-thicker-than-nothing");
        }
    }

    /** Of a stack: more of them do not lie flat. */
    public static final int MOST_LEAVES = 4;

    /** Fewest blades that are as thick as this together: one, where no few of them are. */
    public int leaves(Length thickness) {
        int fewest = 1;
        while (fewest <= MOST_LEAVES && !stacks(thickness, fewest, blades.size())) {
            fewest++;
        }
        return fewest > MOST_LEAVES ? 1 : fewest;
    }

    /** Whether so many of the first blades, each once, are that thick. */
    private boolean stacks(Length thickness, int leaves, int first) {
        if (leaves == 0) {
            return thickness.abs().compareTo(ROUNDED) <= 0;
        }
        for (int b = first - 1; b >= 0; b--) {
            if (blades.get(b).compareTo(thickness.plus(ROUNDED)) <= 0
                    && stacks(thickness.minus(blades.get(b)), leaves - 1, b)) {
                return true;
            }
        }
        return false;
    }

    public Length thinnest() {
        return blades.get(0);
    }

    public Length thickest() {
        return blades.get(blades.size() - 1);
    }

    public Optional<Length> thickerThan(Length blade) {
        return blades.stream().filter(b -> b.compareTo(blade) > 0).findFirst();
    }

    public Optional<Length> thinnerThan(Length blade) {
        return blades.stream().filter(b -> b.compareTo(blade) < 0).reduce((a, b) -> b);
    }

    /** The thickest blade that is not thicker than a limit: when it is refused, the gap is under the limit. */
    public Length asThickAs(Length limit) {
        return blades.stream()
                .filter(b -> b.compareTo(limit) <= 0)
                .reduce((a, b) -> b)
                .orElse(thinnest());
    }

    /** The blade that a keyed thickness means: figures of a mm blade are rounded at a thou bench, and the other way round. */
    public Optional<Length> meant(Length keyed) {
        return blades.stream()
                .filter(b -> b.minus(keyed).abs().compareTo(ROUNDED) <= 0)
                .findFirst();
    }
}
