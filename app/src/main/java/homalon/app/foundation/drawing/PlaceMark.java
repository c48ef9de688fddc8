package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;

/**
 * A place on the drawing.
 *
 * @param id by which the walk finds it
 * @param spot where, mm
 * @param state how it is drawn
 * @param label a figure beside it; empty for none
 * @param title spoken name
 */
public record PlaceMark(String id, Spot spot, State state, String label, String title) {
    /** How a place is drawn. */
    public enum State {
        OPEN,
        READ,
        SKIPPED,
        NOT_SEALING,
        SUPPORT,
        SUGGESTED
    }
}
