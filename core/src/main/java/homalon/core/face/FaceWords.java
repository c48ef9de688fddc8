package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;

/** The shape of a face in the trade's words, each sentence from figures that are on the screen beside it. */
public final class FaceWords {
    private FaceWords() {}

    /** {@code Hollow lengthwise, lowest between 3 and 4.} */
    public static String shape(FlatnessResult flatness, Points points, Layout layout) {
        String words = flatness.shape().words();
        String sentence = Character.toUpperCase(words.charAt(0)) + words.substring(1);
        int lowest = extreme(flatness, points, -1);
        int highest = extreme(flatness, points, 1);
        return switch (flatness.shape()) {
            case FLAT -> "Flat as far as measured.";
            case HOLLOW_LENGTHWISE, HOLLOW_CROSSWISE ->
                sentence + ", lowest " + PlaceNames.along(layout, points.spot(lowest)) + ".";
            case CROWNED_LENGTHWISE, CROWNED_CROSSWISE ->
                sentence + ", highest " + PlaceNames.along(layout, points.spot(highest)) + ".";
            case TWISTED ->
                sentence + ": corners "
                        + highCorners(flatness.bend().fourthCornerLift().orElse(0), layout) + ".";
            case LOCAL -> local(flatness, points, layout);
            case MIXED ->
                "Mixed: no one shape holds half of it. Lowest " + lower(PlaceNames.name(layout, points.spot(lowest)))
                        + ".";
        };
    }

    /** The two corners that stand high, from the sign of the fourth-corner lift. */
    public static String highCorners(double fourthCornerLift, Layout layout) {
        boolean intakeAtBack = layout.numbers().intakeAtTop() == fourthCornerLift > 0;
        return intakeAtBack ? "back intake and front exhaust high" : "back exhaust and front intake high";
    }

    private static String local(FlatnessResult flatness, Points points, Layout layout) {
        BowAndTwist bend = flatness.bend();
        String at = lower(PlaceNames.name(layout, points.spot(bend.lowestLocal())));
        return "Local: no bow and no twist to speak of; lowest against the rest at the " + at + ".";
    }

    private static int extreme(FlatnessResult flatness, Points points, int sign) {
        int at = 0;
        for (int i = 1; i < points.size(); i++) {
            double here = points.above(flatness.minimumZone().middle(), i);
            double best = points.above(flatness.minimumZone().middle(), at);
            at = sign * here > sign * best ? i : at;
        }
        return at;
    }

    private static String lower(String name) {
        return Character.toLowerCase(name.charAt(0)) + name.substring(1);
    }
}
