package homalon.app.casting.part;

import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import java.time.Instant;
import java.util.Map;
import java.util.UUID;

/** Says who did what on a visit. */
public interface DoneBy {
    /** Who wrote the last line of an operation, and when. */
    record Hand(UUID by, Instant at) {}

    /** By operation; one that nobody touched is left out. */
    Map<Operation, Hand> hands(PartFile part);
}
