package homalon.core.face;

import homalon.core.geometry.Box;
import homalon.core.geometry.Spot;
import homalon.core.part.Land;
import homalon.core.rulebook.RuleBook;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a flatness sum is asked.
 *
 * @param box over which bow and twist are expressed
 * @param land that must be covered
 * @param limit overall limit, mm
 * @param window side of the square window, mm
 * @param cover distance within which every place of the land must have a measured one, mm
 * @param bores around which flatness is wanted
 * @param band width of the ring around a bore, mm
 * @param uncertainty of the instrument, mm: no verdict is proven within it of the limit
 * @param slack by which equal lengths may differ through rounding, mm
 */
public record FlatnessSettings(
        Box box,
        Land land,
        OptionalDouble limit,
        OptionalDouble window,
        double cover,
        List<Ring> bores,
        double band,
        double uncertainty,
        double slack) {

    /** Lengths that differ by less are equal in a verdict, so that a zone just at its limit is within. */
    public static final double VERDICT_SLACK_MM = 1e-9;

    /** A bore by its centre and diameter, mm. */
    public record Ring(Spot centre, double diameter) {}

    /** The usual questions about a face, with no limit and no window. */
    public static FlatnessSettings over(Box box) {
        return new FlatnessSettings(
                box,
                Cover.landOf(box),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                RuleBook.DEFAULT_COVER.mm(),
                List.of(),
                RuleBook.DEFAULT_FIRE_RING_BAND.mm(),
                0,
                VERDICT_SLACK_MM);
    }

    public FlatnessSettings withLimit(double limitMm) {
        return new FlatnessSettings(
                box, land, OptionalDouble.of(limitMm), window, cover, bores, band, uncertainty, slack);
    }

    public FlatnessSettings withWindow(double sideMm) {
        return new FlatnessSettings(
                box, land, limit, OptionalDouble.of(sideMm), cover, bores, band, uncertainty, slack);
    }
}
