package homalon.app.machining.chambers;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.sheets.SheetFile;
import homalon.core.chambers.FillState;
import homalon.core.part.Layout;
import homalon.core.route.VisitFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
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
        ChamberFile file = files.of(part, sheet);
        List<Instant> filled = new ArrayList<>();
        int settled = 0;
        boolean begun = false;
        for (FillState s : FillState.values()) {
            if (file.settled(s)) {
                file.bores().stream()
                        .map(b -> file.filled(b.number(), s).orElseThrow().at())
                        .min(Comparator.naturalOrder())
                        .ifPresent(filled::add);
            }
        }
        for (Layout.Bore b : file.bores()) {
            Optional<ChamberFile.Filled> latest = file.latest(b.number());
            begun |= latest.isPresent();
            settled += latest.filter(f -> f.volume().settled()).isPresent() ? 1 : 0;
        }
        filled.sort(Comparator.naturalOrder());
        return Optional.of(
                new VisitFacts.Chambers(file.bores().size(), settled, begun, filled, ChamberViews.range(file)));
    }
}
