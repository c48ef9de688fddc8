package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** Says where the steps of visits stand, for many parts at once so that the bench page asks once. */
public interface StepSource {
    /** Every step of every visit, by id of the visit, in the order of the work. */
    Map<UUID, List<Step>> steps(List<PartFile> parts, LengthWriter writer);
}
