package homalon.app.casting.customer;

import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.DayForm;
import java.util.Optional;
import java.util.UUID;

/**
 * A customer as the other features see it.
 *
 * @param unit of reports that are printed for the customer; empty: that of whoever prints
 * @param days how days are written on them; empty: as the shop writes them
 */
public record Customer(
        UUID id,
        String name,
        String phone,
        String mail,
        Optional<BenchUnit> unit,
        Optional<DayForm> days,
        String notes,
        int version) {}
