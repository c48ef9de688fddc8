package homalon.app.casting.customer;

import homalon.core.quantity.BenchUnit;
import java.util.Optional;
import java.util.UUID;

/**
 * A customer as the other features see it.
 *
 * @param unit of reports that are printed for the customer; empty: that of whoever prints
 */
public record Customer(
        UUID id, String name, String phone, String mail, Optional<BenchUnit> unit, String notes, int version) {}
