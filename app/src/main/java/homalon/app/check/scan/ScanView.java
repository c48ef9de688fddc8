package homalon.app.check.scan;

import homalon.app.check.face.FaceViews;
import homalon.app.foundation.drawing.FaceDrawing;
import java.util.List;
import java.util.UUID;

/**
 * A scan ready to be shown.
 *
 * @param when it was taken in, by whom
 * @param others scans of the same face, newest first
 */
public record ScanView(
        UUID id,
        String name,
        String when,
        FaceDrawing picture,
        FaceViews.Figures figures,
        List<String> notes,
        List<Other> others) {

    /** Another scan. */
    public record Other(UUID id, String name, String when) {}
}
