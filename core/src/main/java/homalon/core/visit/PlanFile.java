package homalon.core.visit;

import homalon.core.cut.CutPlan;
import java.time.Instant;
import java.util.UUID;

/**
 * The plan that stands for a visit.
 *
 * @param surveyRevision of the survey that it was made from; a later one makes it stale
 */
public record PlanFile(UUID id, UUID visit, long surveyRevision, CutPlan plan, Tooling tooling, UUID by, Instant at) {}
