package homalon.core.face;

import homalon.core.geometry.Points;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.words.Message;

/** The shape of a face in the trade's words, each sentence from figures that are on the screen beside it. */
public final class FaceWords {
    private FaceWords() {}

    /** {@code Hollow lengthwise, lowest between 3 and 4.} */
    public static Message shape(FlatnessResult flatness, Points points, Layout layout) {
        Message words = flatness.shape().words();
        Message sentence = Message.capital(words);
        int lowest = extreme(flatness, points, -1);
        int highest = extreme(flatness, points, 1);
        return switch (flatness.shape()) {
            case FLAT -> Message.of("face.flat-as-far-as-measured");
            case HOLLOW_LENGTHWISE, HOLLOW_CROSSWISE ->
                Message.of("face.lowest", sentence, PlaceNames.along(layout, points.spot(lowest)));
            case CROWNED_LENGTHWISE, CROWNED_CROSSWISE ->
                Message.of("face.highest", sentence, PlaceNames.along(layout, points.spot(highest)));
            case TWISTED ->
                Message.of(
                        "face.corners",
                        sentence,
                        highCorners(flatness.bend().fourthCornerLift().orElse(0), layout));
            case LOCAL -> local(flatness, points, layout);
            case MIXED ->
                Message.of(
                        "face.mixed-no-one-shape-holds-half-of-it",
                        lower(PlaceNames.name(layout, points.spot(lowest))));
        };
    }

    /** The two corners that stand high, from the sign of the fourth-corner lift. */
    public static Message highCorners(double fourthCornerLift, Layout layout) {
        boolean intakeAtBack = layout.numbers().intakeAtTop() == fourthCornerLift > 0;
        return intakeAtBack
                ? Message.of("face.rear-intake-and-front-exhaust-high")
                : Message.of("face.rear-exhaust-and-front-intake-high");
    }

    private static Message local(FlatnessResult flatness, Points points, Layout layout) {
        String at = lower(PlaceNames.name(layout, points.spot(flatness.bend().lowestLocal())));
        return Message.of("face.local-no-bow-and-no-twist-to-speak-of", at);
    }

    /** Whether the low place that the shape names lies between two bores, where a gasket leaks first. */
    public static boolean lowBetweenBores(FlatnessResult flatness, Points points, Layout layout) {
        int low = flatness.shape() == Shape.LOCAL ? flatness.bend().lowestLocal() : extreme(flatness, points, -1);
        return PlaceNames.betweenBores(layout, points.spot(low));
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
