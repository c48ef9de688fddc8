package homalon.app.machining.valves;

import homalon.core.route.VisitFacts;
import homalon.core.visit.PartFile;
import homalon.core.visit.RouteFacts;
import homalon.core.visit.SheetFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the valves of a visit say to the route. */
@Component
@RequiredArgsConstructor
public class ValveFindings {
    private final ValveFiles files;

    /** Empty before it was said how they lie. */
    public Optional<VisitFacts.Valves> of(PartFile part, SheetFile sheet) {
        return files.of(part, sheet).map(RouteFacts::valves);
    }
}
