package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.core.cut.StopRule;
import homalon.core.cut.TouchCells;
import homalon.core.cut.Touched;
import homalon.core.input.BadInputException;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the cutter was seen to touch, said in words, and what may stay untouched. */
@Service
@Transactional
@RequiredArgsConstructor
public class SeenTouched {
    private final Planner planner;
    private final Ledgers ledgers;
    private final Paintings paintings;

    /** @throws BadInputException for words that say nothing of this face */
    public Touched said(PartFile part, String words) {
        return Touched.said(words, planner.layout(part), planner.cells(part));
    }

    /** @throws BadInputException when nothing was painted, what is left seals, or no reason is given */
    public void leave(PartFile part, UUID id, String why, UUID by) {
        LedgerFile ledger = ledgers.of(part);
        Paintings.Painting painting = paintings
                .now(part, ledger)
                .orElseThrow(() -> new BadInputException("leave", "app.cut.paint-what-the-cutter-touched-first"));
        TouchCells grid = planner.cells(part);
        switch (StopRule.of(grid, painting.cells()).state()) {
            case CLEAN -> throw new BadInputException("leave", "app.cut.all-of-it-is-touched-nothing-is-left-to");
            case GO_ON -> throw new BadInputException("leave", "app.cut.what-is-left-lies-where-the-gasket");
            case MAY_STAY -> paintings.leave(part, id, painting, why, by);
        }
    }
}
