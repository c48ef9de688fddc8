package homalon.app.check.face;

import homalon.app.casting.ledger.Ledgers;
import homalon.core.ledger.BeforeFigure;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.LedgerFile;
import homalon.core.visit.PartFile;
import homalon.core.visit.SurveyFile;
import homalon.core.visit.SurveyKind;
import java.time.Instant;
import java.util.Comparator;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Asks before a figure that was read before the cut is overwritten by one that was read after it. */
@Component
@RequiredArgsConstructor
class BeforeCutGuard {
    private final Ledgers ledgers;

    Optional<String> asks(PartFile part, SurveyKind kind, SurveyFile.PlaceFile place, LengthWriter writer) {
        if (kind == SurveyKind.PROOF || kind == SurveyKind.THICKNESS_AFTER) {
            return Optional.empty();
        }
        LedgerFile ledger = ledgers.of(part);
        Optional<Instant> last = ledger.passes(part.visit().id()).stream()
                .map(LedgerFile.Line::at)
                .max(Comparator.naturalOrder());
        boolean thickness = kind == SurveyKind.THICKNESS;
        if (!BeforeFigure.asks(thickness, place.reading().map(SurveyFile.ReadingFile::at), last)) {
            return Optional.empty();
        }
        return Optional.of(writer.full(ledger.ledger().totals(part.visit().id()).thisJob())
                + " was cut since: this sheet is for before the cut. Read after it, it belongs under "
                + (thickness ? "thickness after the cut" : "proof")
                + ". Press Enter again when it was read before, or Escape to leave it.");
    }
}
