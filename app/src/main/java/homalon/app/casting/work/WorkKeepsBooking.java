package homalon.app.casting.work;

import homalon.app.casting.part.BookingKeeper;
import homalon.core.route.Operation;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was stitched, welded, bored or fitted is in the casting, whoever it was booked for. */
@Component
@RequiredArgsConstructor
class WorkKeepsBooking implements BookingKeeper {
    /** Work that leaves the casting as it was. */
    private static final Set<Operation> LEAVES_NOTHING =
            EnumSet.of(Operation.CLEAN, Operation.CUT_PLAN, Operation.OIL_AND_BAG);

    private final WorkLog work;

    @Override
    public Optional<Message> keeps(PartFile part) {
        return work.of(part).stream()
                .filter(e -> e.kind() == WorkEntry.Kind.DID)
                .map(e -> Operation.valueOf(e.what()))
                .filter(o -> !o.isCheck() && !LEAVES_NOTHING.contains(o))
                .findFirst()
                .map(o -> Message.of("app.work.was-done-on-it", Message.capital(o.words())));
    }
}
