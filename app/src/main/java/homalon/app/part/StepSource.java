package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.Map;
import java.util.UUID;

/** A feature's word on where its step stands, for many parts at once so that the bench page asks each feature once. */
public interface StepSource {
    StepKind kind();

    /** Steps by id of the visit. */
    Map<UUID, Step> steps(List<PartFile> parts, LengthWriter writer);
}
