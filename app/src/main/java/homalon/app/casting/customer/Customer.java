package homalon.app.casting.customer;

import homalon.core.quantity.BenchUnit;
import java.util.Optional;
import java.util.UUID;

/**
 * A customer as the other features see it.
 *
 * @param unit that the customer thinks in; empty: the shop's
 */
public record Customer(
        UUID id, String name, String phone, String mail, Optional<BenchUnit> unit, String notes, int version) {}
