package homalon.app.outcome.report;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.Parts;
import homalon.app.check.integrity.Photos;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Files of one casting, in a folder of its own: its record, readings, papers, photos, and what was agreed about each visit. */
@Component
@RequiredArgsConstructor
class CastingFiles {
    private static final JsonMapper JSON = JsonMapper.shared();

    private final RecordJson json;
    private final RecordCsv csv;
    private final Releases releases;
    private final SealedPapers papers;
    private final Photos photos;
    private final Parts parts;
    private final AgreedBook agreed;

    /** What was agreed about a visit, as the file has it. */
    private record Agreed(
            int visit, List<AgreedBook.Promise> promised, List<AgreedBook.Owing> owed, List<AgreedBook.Call> calls) {
        boolean nothing() {
            return promised.isEmpty() && owed.isEmpty() && calls.isEmpty();
        }
    }

    /** @param unit of papers */
    void write(ZipOutputStream zip, PartFile part, BenchUnit unit) throws IOException {
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
        List<Agreed> said = parts.everyVisit(part).stream()
                .map(v -> agreed(v.visit()))
                .filter(a -> !a.nothing())
                .toList();
        if (!said.isEmpty()) {
            file(zip, folder + "agreed.json", JSON.writeValueAsBytes(said));
        }
        for (Photos.Photo photo : photos.ofEveryVisit(part)) {
            Optional<byte[]> jpeg = photos.jpeg(part, photo.id());
            if (jpeg.isPresent()) {
                file(zip, folder + "photo-" + photo.id() + ".jpg", jpeg.get());
            }
        }
    }

    private Agreed agreed(PartFile.Visit visit) {
        List<UUID> one = List.of(visit.id());
        return new Agreed(
                visit.no(),
                agreed.promises(one).getOrDefault(visit.id(), List.of()),
                agreed.owed(one).getOrDefault(visit.id(), List.of()),
                agreed.calls(one).getOrDefault(visit.id(), List.of()));
    }

    static void file(ZipOutputStream zip, String name, byte[] content) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(content);
        zip.closeEntry();
    }
}
