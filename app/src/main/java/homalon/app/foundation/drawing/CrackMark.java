package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;
import java.util.List;

/**
 * A crack on a drawing; one whose ends are the same spot is a place: suspected, or with bubbles.
 *
 * @param label beside it
 * @param style for its look
 * @param pins centres of the pins along it
 * @param pin their diameter, mm
 */
public record CrackMark(String label, String style, Spot from, Spot to, List<Spot> pins, double pin, String title) {}
