package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Booked in: done as soon as the part is here. */
@Component
class BookedStep implements StepSource {
    @Override
    public StepKind kind() {
        return StepKind.BOOKED;
    }

    @Override
    public Map<UUID, Step> steps(List<PartFile> parts, LengthWriter writer) {
        return parts.stream()
                .collect(Collectors.toMap(
                        p -> p.visit().id(),
                        p -> new Step(
                                StepKind.BOOKED,
                                Step.Mark.DONE,
                                p.visit().no() == 1
                                        ? "kept"
                                        : "visit " + p.visit().no(),
                                "",
                                "")));
    }
}
