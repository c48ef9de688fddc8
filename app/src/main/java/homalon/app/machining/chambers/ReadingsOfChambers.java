package homalon.app.machining.chambers;

import homalon.app.casting.readings.KeyedLine;
import homalon.app.casting.readings.ReadingPlace;
import homalon.app.casting.readings.SheetHistory;
import homalon.app.casting.readings.TakesReadings;
import homalon.app.casting.sheets.Sheets;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.words.Words;
import homalon.core.chambers.FillState;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.ChamberFile;
import homalon.core.visit.ChamberPlace;
import homalon.core.visit.ChamberWalk;
import homalon.core.visit.Figure;
import homalon.core.visit.PartFile;
import homalon.core.visit.Sheet;
import homalon.core.visit.SheetFile;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Fills of chambers and heights of pistons. */
@Component
@RequiredArgsConstructor
class ReadingsOfChambers implements TakesReadings {
    private static final LengthWriter MM = new LengthWriter(BenchUnit.MM);

    private final ChamberFiles files;
    private final WorkOnChambers work;
    private final Sheets sheets;

    @Override
    public List<String> walks() {
        return List.of(Sheet.CHAMBERS.path());
    }

    /** Every place of every walk in every state, as it is called with that state; pistons have none. */
    private static Map<ChamberPlace, String> places(ChamberFile file) {
        Map<ChamberPlace, String> all = new LinkedHashMap<>();
        for (ChamberWalk walk : ChamberWalk.of(file)) {
            for (FillState state : FillState.values()) {
                for (ChamberPlace p : walk.places(file, state)) {
                    String words = ChamberViews.name(p);
                    all.putIfAbsent(
                            p,
                            walk.ofFills()
                                    ? words + ", " + Words.of(walk.words(MM)) + ", " + Words.of(state.words())
                                    : words);
                }
            }
        }
        return all;
    }

    @Override
    public List<ReadingPlace> places(PartFile part, String walk) {
        ChamberFile file = files.of(part);
        return !file.begun()
                ? List.of()
                : places(file).entrySet().stream()
                        .map(e -> new ReadingPlace(
                                e.getKey().key(),
                                e.getValue(),
                                Optional.empty(),
                                Optional.ofNullable(file.sheet()
                                                .standing()
                                                .get(e.getKey().key()))
                                        .map(Figure::typed)))
                        .toList();
    }

    @Override
    @Transactional
    public void key(PartFile part, String walk, Keyed keyed, UUID by) {
        ChamberFile file = files.require(part);
        ChamberPlace at = places(file).keySet().stream()
                .filter(p -> p.key().equals(keyed.place()))
                .findFirst()
                .orElseThrow(() -> new BadInputException("place", "app.chambers.that-place-is-not-on-this-sheet-any"));
        work.key(file, at, keyed, by);
    }

    @Override
    public List<KeyedLine> history(List<PartFile> visits) {
        Map<UUID, Map<Sheet, SheetFile>> all =
                sheets.ofVisits(visits.stream().map(v -> v.visit().id()).toList());
        List<KeyedLine> lines = new ArrayList<>();
        for (PartFile visit : visits) {
            UUID id = visit.visit().id();
            SheetFile sheet = all.getOrDefault(id, Map.of()).get(Sheet.CHAMBERS);
            if (sheet != null) {
                Map<String, String> words = new LinkedHashMap<>();
                places(files.of(visit, sheet)).forEach((p, said) -> words.put(p.key(), said));
                lines.addAll(SheetHistory.of(id, sheet, words));
            }
        }
        return lines;
    }
}
