package homalon.app.outcome.tables;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.casting.part.Parts;
import homalon.core.input.BadInputException;
import homalon.core.ledger.Removal;
import homalon.core.quantity.LengthWriter;
import homalon.core.table.TableKind;
import homalon.core.visit.PartFile;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Metal off castings that are here, from before their ledgers began. */
@Component
@RequiredArgsConstructor
class RemovalsIn implements TakesLines {
    private final Parts parts;
    private final Ledgers ledgers;

    @Override
    public TableKind kind() {
        return TableKind.REMOVALS;
    }

    @Override
    public void take(List<Line> lines, Hand hand, Told told) {
        for (Line line : lines) {
            try {
                PartFile part = parts.find(line.at("tag"))
                        .orElseThrow(() ->
                                new BadInputException("tag", "app.tables.name-a-casting-that-is-here", line.at("tag")));
                Removal removal = Removal.read(line.at("removed"), line.at("removed is"), hand.unit());
                ledgers.opening(part, UUID.randomUUID(), removal.kind(), removal.depth(), line.at("note"), hand.by());
                String depth = new LengthWriter(hand.unit()).full(removal.depth());
                told.made(
                        line,
                        part.tag() + ", "
                                + switch (removal.kind()) {
                                    case OPENING_UNKNOWN -> "not known what came off before";
                                    case OPENING_KNOWN -> depth + " off before, known";
                                    default -> depth + " off before, a guess";
                                });
            } catch (BadInputException e) {
                told.refused(line, e);
            }
        }
    }
}
