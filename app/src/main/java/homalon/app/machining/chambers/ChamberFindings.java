package homalon.app.machining.chambers;

import homalon.core.route.VisitFacts;
import homalon.core.visit.PartFile;
import homalon.core.visit.RouteFacts;
import homalon.core.visit.SheetFile;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What the chambers of a visit say to the route. */
@Component
@RequiredArgsConstructor
public class ChamberFindings {
    private final ChamberFiles files;

    /** Empty before the sheet was begun. */
    public Optional<VisitFacts.Chambers> of(PartFile part, SheetFile sheet) {
        if (sheet == null || sheet.setup().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(RouteFacts.chambers(files.of(part, sheet)));
    }
}
