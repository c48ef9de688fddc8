package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import java.util.List;

/**
 * A laid straightedge on the drawing.
 *
 * @param from where it begins, mm
 * @param to where it ends, mm
 * @param rest how it lies
 * @param restId by which the walk finds the place where that is asked
 * @param gaps what blades said along it
 * @param title spoken name
 */
public record EdgeMark(Spot from, Spot to, Rest rest, String restId, List<GapMark> gaps, String title) {
    /** How it lies. */
    public enum Rest {
        ROCKS,
        SITS,
        UNKNOWN
    }

    /**
     * An interval at one place.
     *
     * @param id by which the walk finds it
     * @param at from 0 to 1 along the edge
     * @param tried false while nothing was tried there
     * @param least proven, mm
     * @param most possible, mm; infinite when no blade was refused
     * @param over true when the proven gap is over the limit
     */
    public record GapMark(String id, double at, boolean tried, double least, double most, boolean over, String title) {}
}
