package homalon.app.casting.customer;

import java.util.UUID;

/** Keeps something that names a customer, and lets it go once the customer is erased. */
public interface ForgetsCustomer {
    void forget(UUID customer);
}
