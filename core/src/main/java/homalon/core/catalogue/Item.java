package homalon.core.catalogue;

import homalon.core.input.Problems;
import homalon.core.words.Message;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * One row of the shop's list. Sizes in millimetres.
 *
 * @param code what it is ordered by; 1 to 20 letters, digits, points, dashes
 * @param words what it is
 * @param outer outside diameter as it is made; of a shim too
 * @param inner inside diameter as it is made
 * @param height of an insert, length of a guide, thickness of a shim
 * @param metal empty where it does not matter
 * @param counterbore for an insert sold by the hole it is meant for: that hole; the ring is larger by its own press. Empty where
 *     the list gives the ring's true size
 */
public record Item(
        String code,
        Kind kind,
        String words,
        double outer,
        double inner,
        double height,
        Optional<Metal> metal,
        OptionalDouble counterbore) {
    /** What is bought by size. */
    public enum Kind {
        INSERT,
        GUIDE,
        LINER,
        SHIM;

        private final Message words = Message.of(this);

        public Message words() {
            return words;
        }
    }

    /** @throws homalon.core.input.BadInputException naming each field that cannot be */
    public Item {
        Problems problems = new Problems();
        problems.require(
                code.matches("[A-Za-z0-9][A-Za-z0-9./-]{0,19}"),
                "code",
                "catalogue.code-1-to-20-letters-digits-points");
        problems.require(words.length() <= 80, "words", "catalogue.what-it-is-at-most-80-letters");
        problems.require(outer > 3 && outer <= 150, "outer", "catalogue.outside-key-3-to-150-mm");
        problems.require(inner > 0 && inner < outer, "inner", "catalogue.inside-above-zero-and-smaller-than-the");
        problems.require(height > 0 && height <= 200, "height", "catalogue.height-length-or-thickness-above-zero");
        problems.require(
                counterbore.isEmpty() || kind == Kind.INSERT,
                "sizing",
                "catalogue.only-an-insert-is-sold-by-the-hole-it");
        problems.require(
                counterbore.isEmpty()
                        || (counterbore.getAsDouble() < outer && outer - counterbore.getAsDouble() <= 0.5),
                "press",
                "catalogue.the-rings-own-press-above-zero-and-at");
        problems.require(
                kind != Kind.INSERT || metal.isPresent(), "metal", "catalogue.an-insert-needs-its-metal-such-as");
        problems.throwIfAny();
    }

    /** Sold by the hole that it is meant for. */
    public boolean nominal() {
        return counterbore.isPresent();
    }

    /** Radial thickness of its wall, mm. */
    public double wall() {
        return (outer - inner) / 2;
    }
}
