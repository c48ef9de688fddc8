package homalon.core.visit;

import homalon.core.chambers.FillState;
import homalon.core.quantity.Length;

/**
 * A place that is keyed.
 *
 * @param state in which it is filled; not used for a piston
 * @param depth of the level below the face, zero for the brim
 * @param number of the fill, from 1
 */
public record ChamberPlace(What what, FillState state, Length depth, int cylinder, int number) {
    /** What is keyed there. */
    public enum What {
        FILL,
        DECK,
        CROWN
    }

    public static ChamberPlace fill(FillState state, Length depth, int cylinder, int number) {
        return new ChamberPlace(What.FILL, state, depth, cylinder, number);
    }

    public static ChamberPlace piston(What what, int cylinder) {
        return new ChamberPlace(what, FillState.AS_CAME, Length.ZERO, cylinder, 1);
    }

    public String key() {
        return switch (what) {
            case FILL -> ChamberFile.fill(state, depth, cylinder, number);
            case DECK -> ChamberFile.deck(cylinder);
            case CROWN -> ChamberFile.crown(cylinder);
        };
    }
}
