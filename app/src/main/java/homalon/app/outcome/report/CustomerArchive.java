package homalon.app.outcome.report;

import homalon.app.casting.customer.Customer;
import homalon.app.casting.customer.Customers;
import homalon.app.casting.part.PartFinder;
import homalon.app.check.integrity.Photos;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.io.OutputStream;
import java.util.List;
import java.util.Optional;
import java.util.zip.ZipEntry;
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
    private final RecordJson json;
    private final RecordCsv csv;
    private final Releases releases;
    private final SealedPapers papers;
    private final Photos photos;

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
            file(zip, "customer.json", JSON.writeValueAsBytes(told));
            boolean more = true;
            for (int lot = 0; more; lot++) {
                PartFinder.Some some = finder.castings(customer.id(), lot, AT_ONCE);
                for (PartFile part : some.parts()) {
                    casting(zip, part, customer.unit().orElse(unit));
                }
                more = some.more();
            }
        }
    }

    private void casting(ZipOutputStream zip, PartFile part, BenchUnit unit) throws IOException {
        String folder = "castings/" + part.tag() + "/";
        file(zip, folder + "record.json", json.write(part));
        file(zip, folder + "readings.csv", csv.readings(part));
        file(zip, folder + "ledger.csv", csv.ledger(part));
        for (Releases.Release release : releases.ofCasting(part)) {
            String visit = folder + "visit-" + release.no();
            file(zip, visit + "-seal.json", release.seal());
            Optional<byte[]> pdf = papers.paper(release.visit(), "pdf", unit);
            if (pdf.isPresent()) {
                file(zip, visit + "-report.pdf", pdf.get());
            }
        }
        for (Photos.Photo photo : photos.ofEveryVisit(part)) {
            Optional<byte[]> jpeg = photos.jpeg(part, photo.id());
            if (jpeg.isPresent()) {
                file(zip, folder + "photo-" + photo.id() + ".jpg", jpeg.get());
            }
        }
    }

    private static void file(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }
}
