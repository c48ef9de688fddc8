package homalon.core.cut;

import homalon.core.input.BadInputException;
import homalon.core.input.Problems;
import java.util.OptionalDouble;

/**
 * A cut that is thought of, with what is changed beside it.
 *
 * @param cut off this face from here on, counted from first touch
 * @param other off the face that it meets
 * @param gasket another one, compressed
 * @param deck another height of the pistons
 * @param crownCc another crown
 */
public record WhatIf(double cut, double other, OptionalDouble gasket, OptionalDouble deck, OptionalDouble crownCc) {
    public static final WhatIf NOTHING =
            new WhatIf(0, 0, OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    /** @throws BadInputException for what nobody cuts or fits */
    public WhatIf {
        Problems problems = new Problems();
        problems.require(cut >= 0 && cut <= 10, "cut", "cut.the-cut-key-0-to-10-mm");
        problems.require(other >= 0 && other <= 10, "other", "cut.the-other-faces-cut-key-0-to-10-mm");
        gasket.ifPresent(
                g -> problems.require(g >= 0.05 && g <= 10, "gasket", "cut.gasket-compressed-key-0-05-to-10-mm"));
        deck.ifPresent(d -> problems.require(Math.abs(d) <= 20, "deck", "cut.piston-below-the-deck-key-20-to-20-mm"));
        crownCc.ifPresent(
                c -> problems.require(Math.abs(c) <= 2000, "crown", "cut.crown-key-2000-to-2000-cc-with-a-minus"));
        problems.throwIfAny();
    }

    public WhatIf withCut(double mm) {
        return new WhatIf(mm, other, gasket, deck, crownCc);
    }
}
