package homalon.app.part;

import homalon.core.quantity.LengthWriter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** The strip of steps of one part or of many. */
@Component
public class Steps {
    private final List<StepSource> sources;

    Steps(List<StepSource> sources) {
        this.sources =
                sources.stream().sorted(Comparator.comparing(StepSource::kind)).toList();
    }

    public List<Step> of(PartFile part, LengthWriter writer) {
        return of(List.of(part), writer).get(part.visit().id());
    }

    public Map<UUID, List<Step>> of(List<PartFile> parts, LengthWriter writer) {
        Map<UUID, List<Step>> all = new LinkedHashMap<>();
        parts.forEach(p -> all.put(p.visit().id(), new ArrayList<>()));
        for (StepSource source : sources) {
            Map<UUID, Step> steps = source.steps(parts, writer);
            parts.forEach(p -> all.get(p.visit().id()).add(steps.get(p.visit().id())));
        }
        return all;
    }
}
