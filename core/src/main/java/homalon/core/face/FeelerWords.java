package homalon.core.face;

import homalon.core.face.FeelerResult.Judged;
import homalon.core.geometry.Range;
import homalon.core.part.Layout;
import homalon.core.part.PlaceNames;
import java.util.Optional;

/** What feelers prove, in the trade's words. Each sentence comes from figures that are shown beside it. */
public final class FeelerWords {
    private FeelerWords() {}

    /** {@code intake edge}, {@code crosswise}, {@code diagonal, front exhaust to back intake}. */
    public static String line(Judged judged, Layout layout) {
        boolean intakeTop = layout.numbers().intakeAtTop();
        var corners = layout.corners();
        return switch (judged) {
            case UPPER_EDGE -> intakeTop ? "intake edge" : "exhaust edge";
            case LOWER_EDGE -> intakeTop ? "exhaust edge" : "intake edge";
            case CROSSWISE -> "crosswise";
            case RISING_DIAGONAL ->
                "diagonal, " + PlaceNames.corner(layout, corners.get(2)) + " to "
                        + PlaceNames.corner(layout, corners.get(1));
            case FALLING_DIAGONAL ->
                "diagonal, " + PlaceNames.corner(layout, corners.get(0)) + " to "
                        + PlaceNames.corner(layout, corners.get(3));
        };
    }

    /** What shape is proven; empty when none is. */
    public static Optional<String> shape(FeelerResult result, Layout layout) {
        switch (result.fits()) {
            case NOTHING -> {
                return Optional.of(
                        "No smooth bow and twist explains all of this: look for a local dip, dirt or a slip.");
            }
            case ALL_BUT_ONE_LINE -> {
                return Optional.of(
                        "One line stands out: look for a local dip, dirt or a slip there. The others agree, and "
                                + "the figures below are theirs.");
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
            String corners = FaceWords.highCorners(d, layout);
            return Optional.of("Twisted: " + corners
                    + ". Along and across, both ends of the edge are lifted alike, so nothing shows there: only the "
                    + "diagonals do, hollow under one, a crown under the other.");
        }
        boolean lengthwise = Math.abs(e) >= most;
        String word = (lengthwise ? e : f) > 0 ? "Hollow" : "Crowned";
        return Optional.of(word + (lengthwise ? " lengthwise." : " crosswise."));
    }

    private static String apart(FeelerResult result, Layout layout) {
        boolean upper = result.edgesApart().orElse(0) > 0;
        String more = line(upper ? Judged.UPPER_EDGE : Judged.LOWER_EDGE, layout);
        String less = line(upper ? Judged.LOWER_EDGE : Judged.UPPER_EDGE, layout);
        return "The two long edges bow differently: lower in the middle along the " + more + " than along the " + less
                + ".";
    }

    /** The least size that is proven, with its sign; 0 when the range spans none. */
    private static double sure(Range range) {
        return range.least() > 0 ? range.least() : Math.min(0, range.most());
    }
}
