package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import homalon.core.route.Route;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Says where the steps of visits stand, for many parts at once so that the bench page asks once. */
public interface StepSource {
    /**
     * Where a visit stands.
     *
     * @param strip its steps in the order of the work
     * @param route what is owed and what comes before what
     */
    record Standing(List<Step> strip, Route route) {}

    /** Where every visit stands, by id of the visit. */
    Map<UUID, Standing> steps(List<PartFile> parts, LengthWriter writer);
}
