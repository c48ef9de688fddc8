package homalon.app.casting.ledger;

import homalon.app.casting.part.BookingKeeper;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** What was cut in a visit is not undone, and its ledger stays with the casting. */
@Component
@RequiredArgsConstructor
class CutKeepsBooking implements BookingKeeper {
    private final Ledgers ledgers;

    @Override
    public Optional<Message> keeps(PartFile part) {
        return ledgers.of(part).ledger().totals(part.visit().id()).thisJob().signum() != 0
                ? Optional.of(Message.of("app.ledger.metal-came-off-in-this-visit"))
                : Optional.empty();
    }
}
