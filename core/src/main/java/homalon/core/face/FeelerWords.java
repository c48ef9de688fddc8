package homalon.core.face;

import homalon.core.face.FeelerResult.Judged;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import homalon.core.words.Message;
import java.util.Optional;

/** What feelers prove, in the trade's words. Each sentence comes from figures that are shown beside it. */
public final class FeelerWords {
    private FeelerWords() {}

    /** {@code intake edge}, {@code crosswise}, {@code diagonal, front exhaust to rear intake}. */
    public static Message line(Judged judged, Layout layout) {
        boolean intakeTop = layout.numbers().intakeAtTop();
        var corners = layout.corners();
        return switch (judged) {
            case UPPER_EDGE -> intakeTop ? Message.of("face.intake-edge") : Message.of("face.exhaust-edge");
            case LOWER_EDGE -> intakeTop ? Message.of("face.exhaust-edge") : Message.of("face.intake-edge");
            case CROSSWISE -> Message.of("face.crosswise");
            case RISING_DIAGONAL ->
                Message.of(
                        "face.diagonal-to",
                        PlaceNames.corner(layout, corners.get(2)),
                        PlaceNames.corner(layout, corners.get(1)));
            case FALLING_DIAGONAL ->
                Message.of(
                        "face.diagonal-to",
                        PlaceNames.corner(layout, corners.get(0)),
                        PlaceNames.corner(layout, corners.get(3)));
        };
    }

    /** What shape is proven; empty when none is. */
    public static Optional<Message> shape(FeelerResult result, Layout layout) {
        switch (result.fits()) {
            case NOTHING -> {
                return Optional.of(Message.of("face.no-smooth-bow-and-twist-explains-all-of"));
            }
            case ALL_BUT_ONE_LINE -> {
                return Optional.of(Message.of("face.one-line-stands-out-look-for-a-local"));
            }
            case EDGES_APART -> {
                return Optional.of(apart(result, layout));
            }
            case ONE_BOW -> {}
        }
        FeelerResult.Allowed a = result.shape().orElseThrow();
        double e = sure(a.longBow());
        double f = sure(a.crossBow());
        double d = sure(a.fourthCornerLift()) / 2;
        double most = Math.max(Math.abs(e), Math.max(Math.abs(f), Math.abs(d)));
        if (most <= 0) {
            return Optional.empty();
        }
        if (Math.abs(d) >= most) {
            Message corners = FaceWords.highCorners(d, layout);
            return Optional.of(Message.of("face.twisted-along-and-across-both-ends-of", corners));
        }
        boolean lengthwise = Math.abs(e) >= most;
        boolean hollow = (lengthwise ? e : f) > 0;
        Shape shape = lengthwise
                ? hollow ? Shape.HOLLOW_LENGTHWISE : Shape.CROWNED_LENGTHWISE
                : hollow ? Shape.HOLLOW_CROSSWISE : Shape.CROWNED_CROSSWISE;
        return Optional.of(Message.of("text.stop", Message.capital(shape.words())));
    }

    private static Message apart(FeelerResult result, Layout layout) {
        boolean upper = result.edgesApart().orElse(0) > 0;
        Message more = line(upper ? Judged.UPPER_EDGE : Judged.LOWER_EDGE, layout);
        Message less = line(upper ? Judged.LOWER_EDGE : Judged.UPPER_EDGE, layout);
        return Message.of("face.the-two-long-edges-bow-differently", more, less);
    }

    /** The least size that is proven, with its sign; 0 when the range spans none. */
    private static double sure(Range range) {
        return range.least() > 0 ? range.least() : Math.min(0, range.most());
    }
}
