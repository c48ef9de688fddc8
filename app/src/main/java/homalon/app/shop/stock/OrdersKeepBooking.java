package homalon.app.shop.stock;

import homalon.app.casting.part.BookingKeeper;
import homalon.core.visit.PartFile;
import homalon.core.words.Message;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Parts that are on their way for a casting would come for nobody. */
@Component
@RequiredArgsConstructor
class OrdersKeepBooking implements BookingKeeper {
    private final Orders orders;

    @Override
    public Optional<Message> keeps(PartFile part) {
        return orders.of(part).stream()
                .filter(o -> !o.cancelled())
                .findFirst()
                .map(o -> Message.of("app.stock.is-ordered-for-it-cancel-that-first", o.words()));
    }
}
