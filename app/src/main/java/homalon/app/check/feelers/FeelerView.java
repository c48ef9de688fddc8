package homalon.app.check.feelers;

import homalon.app.check.face.FaceView;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.web.Workings;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.FeelerWalk;
import java.util.List;
import java.util.UUID;

/**
 * A feeler survey ready to be shown.
 *
 * @param bows what an edge sees along each judged line; empty before anything is tried
 * @param shape in words; empty when none is proven
 * @param next what to try next, in words; empty once the verdict stands
 * @param nextPlace where that is asked, null when the line was not laid
 * @param odd readings that stand out
 * @param complete when nothing more is asked
 * @param awaited what lies between the edges is not known yet
 */
public record FeelerView(
        FeelerFile survey,
        FaceDrawing picture,
        String bows,
        FaceView.Headline headline,
        String shape,
        String next,
        UUID nextPlace,
        List<String> odd,
        List<FaceView.Row> rows,
        List<FeelerWalk.Place> walk,
        Workings workings,
        boolean complete,
        boolean awaited) {}
