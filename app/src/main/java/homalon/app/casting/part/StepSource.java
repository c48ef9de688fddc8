package homalon.app.casting.part;

import homalon.core.quantity.LengthWriter;
import homalon.core.route.VisitSteps;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Says where the steps of visits stand, for many parts at once so that the bench page asks once. */
public interface StepSource {
    /** Where every visit stands, by id of the visit. */
    Map<UUID, VisitSteps.Standing> steps(List<PartFile> parts, LengthWriter writer);
}
