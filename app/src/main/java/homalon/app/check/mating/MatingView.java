package homalon.app.check.mating;

import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.FaceDrawing;
import java.util.List;
import java.util.Optional;

/**
 * Faces beside each other.
 *
 * @param faces each with its own map, in the same colours
 * @param gap between head and deck, when both are read
 * @param bounds of that gap, when one was read with straightedge and feelers
 * @param other tag of the other casting; empty while nobody said
 * @param missing what is to be read first; empty when nothing is
 */
public record MatingView(
        List<Face> faces,
        List<FaceView.Legend> legend,
        Optional<Gap> gap,
        Optional<Bounds> bounds,
        String other,
        List<String> missing) {

    /** One face. */
    public record Face(
            String title, String words, String sentence, String style, FaceDrawing picture, List<FaceView.Row> rows) {}

    /** What both leave open. */
    public record Gap(FaceDrawing picture, List<FaceView.Legend> legend, String greatest, List<String> words) {}

    /**
     * What both leave open at the least and at the most.
     *
     * @param said in a few words
     */
    public record Bounds(String said, List<String> words) {}

    /** A casting that may be the other one. */
    public record Candidate(String tag, String name) {}
}
