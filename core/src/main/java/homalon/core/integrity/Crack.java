package homalon.core.integrity;

import homalon.core.input.Problems;
import homalon.core.part.Material;
import homalon.core.part.PartKind;
import java.util.EnumSet;
import java.util.Set;

/**
 * One crack as it was found, or one place that is suspected of one.
 *
 * @param length in mm; 0 for a place that is only suspected
 * @param reaches what it runs into; empty: nothing
 * @param suspect a wall next to water that is dented or scuffed, with no crack to be seen
 */
public record Crack(
        PartKind kind,
        Material material,
        CrackPlace place,
        double length,
        Set<Reach> reaches,
        CrackMethod method,
        boolean suspect) {
    private static final double LONGEST = 1000;

    /** @throws homalon.core.input.BadInputException naming every field that cannot be so */
    public Crack {
        reaches = reaches.isEmpty() ? EnumSet.noneOf(Reach.class) : EnumSet.copyOf(reaches);
        Problems problems = new Problems();
        problems.require(
                place.on(kind), "place", "integrity.a-has-no-such-place-choose-another", kind.words(), place.words());
        method.refusal(material).ifPresent(words -> problems.require(false, "method", words));
        problems.require(
                suspect ? length >= 0 && length <= LONGEST : length > 0 && length <= LONGEST,
                "length",
                "integrity.key-how-long-the-crack-is-above-zero");
        problems.throwIfAny();
    }
}
