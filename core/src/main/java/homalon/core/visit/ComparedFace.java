package homalon.core.visit;

import homalon.core.cut.Comparison;
import homalon.core.cut.Supports;
import homalon.core.geometry.Plane;
import homalon.core.part.LandRaster;
import java.util.List;
import java.util.Optional;

/**
 * A survey of the face, what it says, and the set-ups worked out from it.
 *
 * @param crankLine whether the parallel one goes by the crank line and not by the other deck
 */
public record ComparedFace(SurveyFile survey, FaceFinding finding, Comparison setUps, boolean crankLine) {

    /**
     * The set-ups of a face of which a map could be drawn.
     *
     * @param reference what the face shall be parallel to; empty where it was not measured
     */
    public static Comparison compare(FaceFinding finding, Optional<Plane> reference, Supports footing) {
        return Comparison.of(new Comparison.Question(
                finding.points(),
                sealing(finding.all(), finding.map().orElseThrow().land()),
                finding.map().orElseThrow(),
                reference,
                footing));
    }

    /** What the gasket's opening takes leaves the depth, and what lies beyond an inked line. */
    private static boolean[] sealing(List<SurveyFile.PlaceFile> places, LandRaster land) {
        boolean[] sealing = new boolean[places.size()];
        for (int i = 0; i < sealing.length; i++) {
            sealing[i] = places.get(i).sealing()
                    && !land.bands().leavesOut(land.layout(), places.get(i).spot());
        }
        return sealing;
    }
}
