package homalon.app.demo;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import java.util.UUID;
import lombok.RequiredArgsConstructor;

/** How some customers of the sample shop are reached. The numbers are of a range that nobody has. */
@OfTheDemo
@RequiredArgsConstructor
class SampleCustomers {
    private final Customers customers;

    void are(UUID by) {
        reached(
                "Tern Island Ferries",
                "01632 960117",
                "workshop@tern-island.example",
                "",
                "Ask for the second engineer.",
                by);
        reached("Estuary Dredging", "01632 960204", "", "", "Fetches on Fridays.", by);
        reached("Bar Pilots' Boathouse", "01632 960388", "boathouse@bar-pilots.example", "THOU", "", by);
    }

    private void reached(String name, String phone, String mail, String unit, String notes, UUID by) {
        Customer c = customers.named(name, by);
        customers.change(c.id(), name, phone, mail, unit, "", notes, c.version(), by);
    }
}
