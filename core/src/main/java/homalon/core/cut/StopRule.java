package homalon.core.cut;

import java.util.BitSet;

/**
 * When to stop: not at the last pit in a chamber's edge, but when the bands in which the gasket seals are clean. What is left
 * off these bands may stay, if the machinist answers for it.
 *
 * @param state what is left
 * @param left cells of the land that are not touched
 * @param sealing those of them in which a gasket seals
 * @param share of the land that is left, 0 to 1
 */
public record StopRule(State state, BitSet left, BitSet sealing, double share) {

    /** What is left when one looks at the bare metal. */
    public enum State {
        /** All land is touched. */
        CLEAN,
        /** Only land off the sealing bands is left: it may stay, signed for. */
        MAY_STAY,
        /** Land that seals is left: go on. */
        GO_ON
    }

    /** @param touched cells that were seen touched */
    public static StopRule of(TouchCells grid, BitSet touched) {
        BitSet left = new BitSet();
        grid.cells().forEach(c -> left.set(c.number(), !touched.get(c.number())));
        BitSet sealing = (BitSet) left.clone();
        sealing.and(grid.sealing());
        State state = left.isEmpty() ? State.CLEAN : sealing.isEmpty() ? State.MAY_STAY : State.GO_ON;
        return new StopRule(state, left, sealing, grid.share(left));
    }
}
