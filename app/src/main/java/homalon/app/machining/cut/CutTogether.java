package homalon.app.machining.cut;

import homalon.core.visit.PartFile;
import java.util.Optional;
import java.util.UUID;

/** Knows which castings lie on one table; told by the feature that puts them there. */
public interface CutTogether {
    /** The batch that a casting's present visit is cut in. */
    Optional<UUID> ofPart(PartFile part);
}
