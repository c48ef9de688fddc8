package homalon.app.outcome.route;

import homalon.app.casting.sheets.Sheets;
import homalon.app.check.feelers.FeelerSurveys;
import homalon.app.check.integrity.Cracks;
import homalon.app.check.integrity.PressureTests;
import homalon.core.visit.CrackFile;
import homalon.core.visit.FeelerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import homalon.core.visit.TestFile;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was looked at on visits beside the readings of their faces: blades, cracks, pressure, sheets. */
@Component
@RequiredArgsConstructor
class VisitChecks {
    private final FeelerSurveys feelers;
    private final Cracks cracks;
    private final PressureTests tests;
    private final Sheets sheets;

    Map<UUID, List<FeelerFile>> felt(List<UUID> visits) {
        return feelers.ofVisits(visits);
    }

    Map<UUID, List<CrackFile>> cracks(List<PartFile> parts) {
        return cracks.ofParts(parts);
    }

    Map<UUID, List<TestFile>> tests(List<UUID> visits) {
        return tests.ofVisits(visits);
    }

    Map<UUID, Map<Sheet, SheetFile>> sheets(List<UUID> visits) {
        return sheets.ofVisits(visits);
    }
}
