package homalon.app.outcome.report;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.NotHereException;
import homalon.core.quantity.BenchUnit;
import homalon.core.visit.PartFile;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What can be taken along: the report to print, the sealed record, and all data of a casting. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ReportFiles {
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final ReportPrint print;
    private final RecordJson json;
    private final RecordCsv csv;
    private final ReportDrawings drawings;
    private final Releases releases;
    private final SealedPapers papers;
    private final Journal journal;

    @GetMapping("/parts/{tag}/report.pdf")
    ResponseEntity<byte[]> pdf(PartPage page, @RequestParam(defaultValue = "0") int visit) {
        PartFile part = page.part();
        Optional<Releases.Release> release = releases.of(part, visit);
        release.flatMap(r -> papers.erasedAt(r.visit())).ifPresent(at -> {
            throw new NotHereException("The PDF of that visit of " + part.tag()
                    + " went when the customer was erased: the report's page has the rest.");
        });
        BenchUnit unit = print.unit(part, page.unit());
        Optional<byte[]> sealed = release.flatMap(r -> papers.paper(r.visit(), "pdf", unit));
        return file(
                part.tag() + (visit > 0 ? "-visit-" + visit : "") + "-report.pdf",
                MediaType.APPLICATION_PDF,
                sealed.orElseGet(() -> print.of(part, unit)));
    }

    /** The sealed record as it was sealed: its SHA-256 is the digest on the papers. */
    @GetMapping("/parts/{tag}/seal.json")
    ResponseEntity<byte[]> sealed(PartPage page, @RequestParam(defaultValue = "0") int visit) {
        PartFile part = page.part();
        Releases.Release release = releases.of(part, visit)
                .orElseThrow(() -> new NotHereException(part.tag() + " is here still: it is sealed when it leaves."));
        return file(part.tag() + "-visit-" + release.no() + "-seal.json", MediaType.APPLICATION_JSON, release.seal());
    }

    @GetMapping("/parts/{tag}/record.json")
    ResponseEntity<byte[]> json(PartPage page) {
        PartFile part = page.part();
        return taken(page, part.tag() + "-record.json", MediaType.APPLICATION_JSON, json.write(part));
    }

    @GetMapping("/parts/{tag}/readings.csv")
    ResponseEntity<byte[]> readings(PartPage page) {
        PartFile part = page.part();
        return taken(page, part.tag() + "-readings.csv", CSV, csv.readings(part));
    }

    @GetMapping("/parts/{tag}/ledger.csv")
    ResponseEntity<byte[]> ledger(PartPage page) {
        PartFile part = page.part();
        return taken(page, part.tag() + "-ledger.csv", CSV, csv.ledger(part));
    }

    /** In the unit of the reader. */
    @GetMapping("/parts/{tag}/drawings.zip")
    ResponseEntity<byte[]> drawings(PartPage page) {
        PartFile part = page.part();
        return taken(
                page,
                part.tag() + "-drawings.zip",
                MediaType.valueOf("application/zip"),
                drawings.zip(part, page.writer()));
    }

    /** What leaves the shop as data is noted. */
    private ResponseEntity<byte[]> taken(PartPage page, String name, MediaType type, byte[] content) {
        journal.write(Journal.What.EXPORTED, page.me(), name);
        return file(name, type, content);
    }

    private static ResponseEntity<byte[]> file(String name, MediaType type, byte[] content) {
        ContentDisposition disposition = (type.equals(MediaType.APPLICATION_PDF)
                        ? ContentDisposition.inline()
                        : ContentDisposition.attachment())
                .filename(name)
                .build();
        return ResponseEntity.ok()
                .header(HttpHeaders.CONTENT_DISPOSITION, disposition.toString())
                .contentType(type)
                .body(content);
    }
}
