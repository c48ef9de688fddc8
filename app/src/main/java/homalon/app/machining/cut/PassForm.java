package homalon.app.machining.cut;

import homalon.app.casting.ledger.Ledgers;
import homalon.app.foundation.web.Blanks;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.Length;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;

/**
 * A pass as it is keyed beside the machine; what stands beside its depth may be blank.
 *
 * @param place of the pass in the walk, counted from 0: as many were logged before it
 * @param seen how many it was told of since
 * @param sure true when the person was asked about the depth and keyed Enter again
 */
public record PassForm(
        @NotNull(message = "That came without its number: load the page again, then key it anew.")
        UUID id,

        @NotNull(message = "Nothing was keyed: key the depth of the pass.")
        String typed,

        @NotNull(message = "Say the unit: MM or THOU.") BenchUnit unit,
        String machine,
        String cutter,
        String edge,
        String note,
        String place,
        Long seen,
        Boolean sure) {
    /** What a page does not say: nothing was seen, nobody is sure, the notes are blank. */
    public PassForm {
        seen = seen == null ? Long.valueOf(0) : seen;
        sure = Blanks.of(sure);
        machine = Blanks.of(machine);
        cutter = Blanks.of(cutter);
        edge = Blanks.of(edge);
        note = Blanks.of(note);
        place = Blanks.of(place);
    }

    /** @throws BadInputException for what is no depth */
    public Length depth() {
        if (typed.strip().equals("/")) {
            throw new BadInputException("typed", "app.cut.a-pass-is-not-skipped-key-its-depth-or");
        }
        return Length.parse(typed, unit);
    }

    public Ledgers.Notes notes() {
        return new Ledgers.Notes(machine, cutter, edge, note, typed.strip());
    }

    public Cutting.Seen known() {
        return Cutting.Seen.at(place, seen, sure, unit);
    }
}
