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
import java.util.stream.Collectors;
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

    /** What was looked at on one visit. */
    record Checked(List<FeelerFile> felt, List<CrackFile> cracks, List<TestFile> tests, Map<Sheet, SheetFile> sheets) {}

    /** By visit. */
    Map<UUID, Checked> of(List<PartFile> parts) {
        List<UUID> visits = parts.stream().map(p -> p.visit().id()).toList();
        Map<UUID, List<FeelerFile>> felt = feelers.ofVisits(visits);
        Map<UUID, List<CrackFile>> cracked = cracks.ofParts(parts);
        Map<UUID, List<TestFile>> tested = tests.ofVisits(visits);
        Map<UUID, Map<Sheet, SheetFile>> measured = sheets.ofVisits(visits);
        return visits.stream()
                .collect(Collectors.toMap(
                        v -> v,
                        v -> new Checked(
                                felt.getOrDefault(v, List.of()),
                                cracked.getOrDefault(v, List.of()),
                                tested.getOrDefault(v, List.of()),
                                measured.getOrDefault(v, Map.of()))));
    }
}
