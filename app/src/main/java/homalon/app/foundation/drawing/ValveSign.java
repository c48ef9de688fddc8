package homalon.app.foundation.drawing;

import homalon.core.geometry.Spot;

/**
 * A valve on a drawing.
 *
 * @param square drawn with corners, as exhausts are; intakes are round
 * @param style {@code out}, {@code within}, {@code begun}, {@code unread}, {@code none}: its look, with a hatch of its own
 * @param href where it leads; empty when the page itself follows it
 */
public record ValveSign(
        String key,
        String label,
        Spot centre,
        double diameter,
        boolean square,
        String style,
        String title,
        String href) {}
