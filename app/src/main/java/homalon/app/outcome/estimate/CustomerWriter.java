package homalon.app.outcome.estimate;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.foundation.settings.ShopSettings;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** Writes figures and days as a customer has them, else as the shop has. */
@Component
@RequiredArgsConstructor
public class CustomerWriter {
    private final Customers customers;
    private final ShopSettings settings;

    public LengthWriter of(PartFile part) {
        var whose = customers.called(part.customer());
        return new LengthWriter(
                whose.flatMap(Customer::unit).orElseGet(settings::unit),
                whose.flatMap(Customer::days).orElse(part.rules().paper().days()));
    }
}
