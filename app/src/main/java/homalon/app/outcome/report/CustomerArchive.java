package homalon.app.outcome.report;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.PartFinder;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipOutputStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** All that the shop has of one customer, as files: who they are, and of each of their castings its record, readings, papers and photos. */
@Component
@RequiredArgsConstructor
class CustomerArchive {
    private static final int AT_ONCE = 20;
    private static final JsonMapper JSON = JsonMapper.shared();

    private final Customers customers;
    private final PartFinder finder;
    private final CastingFiles castings;

    /** The customer as the file has them. */
    private record Told(
            String name,
            List<String> formerNames,
            String phone,
            String mail,
            Optional<String> unit,
            Optional<String> days,
            String notes) {}

    /**
     * Casting by casting, so that memory stays flat however many there are.
     *
     * @param unit of papers for a customer who has none
     */
    void write(Customer customer, BenchUnit unit, OutputStream out) throws IOException {
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            Told told = new Told(
                    customer.name(),
                    customers.formerNames(customer.id()),
                    customer.phone(),
                    customer.mail(),
                    customer.unit().map(Enum::name),
                    customer.days().map(Enum::name),
                    customer.notes());
            CastingFiles.file(zip, "customer.json", JSON.writeValueAsBytes(told));
            boolean more = true;
            for (int lot = 0; more; lot++) {
                PartFinder.Some some = finder.castings(customer.id(), lot, AT_ONCE);
                for (PartFile part : some.parts()) {
                    castings.write(zip, part, customer.unit().orElse(unit));
                }
                more = some.more();
            }
        }
    }
}
