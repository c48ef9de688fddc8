package homalon.app.outcome.life;

import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.FaceDrawing;
import java.util.List;
import java.util.Optional;

/**
 * The life of a casting as its page shows it.
 *
 * @param stays one for each visit, the first visit first
 * @param metal what came off and what may come off
 * @param faces that can be chosen for a comparison, by visit; none or one: nothing to compare
 * @param compared the two that were chosen; empty with fewer than two
 */
record LifeView(List<Stay> stays, Metal metal, List<Choice> faces, Optional<Compared> compared) {

    /**
     * One visit.
     *
     * @param present true where the casting is here on this visit
     * @param when from when to when
     * @param came the face as it came; empty where it was not read
     * @param left the face after the cut; empty where it was not read
     * @param off what came off on it
     * @param fitted parts that came for it
     * @param done work that was done
     * @param leftOut what was left out, and who signed for it
     * @param note why it left with work open; empty when it did not
     */
    record Stay(
            int no,
            boolean present,
            String when,
            String wanted,
            Optional<Face> came,
            Optional<Face> left,
            String off,
            List<String> fitted,
            List<String> done,
            List<String> leftOut,
            String note) {}

    /** A face in a few words, with its map. */
    record Face(String title, String words, String sentence, String style, FaceDrawing picture) {}

    /**
     * A bar of all that could ever come off.
     *
     * @param parts from the left: before the first visit, each visit, what is left
     * @param said what is left, and why it is no more; or what must be known first
     */
    record Metal(List<Part> parts, List<String> said) {}

    /**
     * @param from where it begins on the bar, 0 to 1000
     * @param share of the bar, of 1000
     */
    record Part(String name, String value, double from, double share, Kind kind) {}

    /** What a part of the bar stands for. */
    enum Kind {
        BEFORE,
        VISIT,
        LEFT
    }

    /** @param id visit and survey, as the address has it */
    record Choice(String id, String name) {}

    /** Two faces in the same colours, and what changed between them. */
    record Compared(
            Choice then, Choice now, List<Beside> beside, List<FaceView.Legend> legend, Optional<Change> change) {}

    record Beside(String title, String words, String style, FaceDrawing picture) {}

    record Change(FaceDrawing picture, List<FaceView.Legend> legend, String words) {}
}
