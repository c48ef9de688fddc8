package homalon.app.outcome.report;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.visit.PartFile;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;

/** The report as it goes along with the casting, in the unit that its customer thinks in. */
@Component
@RequiredArgsConstructor
class ReportPrint {
    private final Reports reports;
    private final ReportPdf pdf;
    private final Customers customers;

    /** @param reader unit of whoever prints it, where the customer has none of its own */
    BenchUnit unit(PartFile part, BenchUnit reader) {
        return customers.called(part.customer()).flatMap(Customer::unit).orElse(reader);
    }

    /** Days as its customer has them, else as the shop has. */
    LengthWriter writer(PartFile part, BenchUnit unit) {
        return new LengthWriter(
                unit,
                customers
                        .called(part.customer())
                        .flatMap(Customer::days)
                        .orElse(part.rules().paper().days()));
    }

    byte[] of(PartFile part, BenchUnit unit) {
        return pdf.print(reports.of(part, writer(part, unit)));
    }
}
