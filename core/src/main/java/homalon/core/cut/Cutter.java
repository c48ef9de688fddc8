package homalon.core.cut;

import homalon.core.input.Problems;

/**
 * A cutter head with its inserts.
 *
 * @param diameter over the edges, mm
 * @param noseRadius of the insert that cuts the finish, mm
 * @param edges of one insert, numbered from 1
 */
public record Cutter(String name, Insert insert, double diameter, double noseRadius, int edges) {
    /** @throws homalon.core.input.BadInputException naming every figure that no cutter has */
    public Cutter {
        Problems problems = new Problems();
        problems.require(
                name != null && !name.isBlank() && name.length() <= 80,
                "name",
                "cut.cutter-key-what-the-shop-calls-it");
        problems.require(insert != null, "insert", "cut.insert-choose-boron-nitride-diamond-or");
        problems.require(diameter >= 20 && diameter <= 600, "diameter", "cut.diameter-key-20-to-600-mm");
        problems.require(noseRadius > 0 && noseRadius <= 50, "noseRadius", "cut.nose-radius-key-it-in-mm-such-as-6-35");
        problems.require(edges >= 1 && edges <= 24, "edges", "cut.edges-of-one-insert-key-1-to-24");
        problems.throwIfAny();
    }
}
