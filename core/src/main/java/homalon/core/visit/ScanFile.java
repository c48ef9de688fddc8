package homalon.core.visit;

import homalon.core.face.ScanFormat;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * A scan as it was taken in.
 *
 * @param highIsMinus true when the file counts downwards
 * @param notes what was said of it
 */
public record ScanFile(
        UUID id,
        SurveyKind kind,
        String name,
        Length uncertainty,
        ScanFormat format,
        boolean highIsMinus,
        int points,
        List<String> notes,
        UUID by,
        Instant at) {}
