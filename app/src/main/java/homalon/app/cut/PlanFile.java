package homalon.app.cut;

import homalon.core.cut.PassPlan;
import homalon.core.cut.School;
import homalon.core.quantity.Length;
import java.time.Instant;
import java.util.List;
import java.util.UUID;

/**
 * The plan that stands for a visit.
 *
 * @param readUpTo last line of the survey that it was made from; a later line makes it stale
 * @param toClean from first touch until the sealing land is clean
 * @param shims under supports A, B, C, ...
 */
public record PlanFile(
        UUID id,
        UUID visit,
        long readUpTo,
        School school,
        Length toClean,
        List<Length> shims,
        PassPlan.Depths depths,
        PassPlan passes,
        UUID by,
        Instant at) {}
