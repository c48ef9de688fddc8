package homalon.app.outcome.report;

import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.OneWrite;
import homalon.core.input.BadInputException;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The last step: the report on the screen, what can be taken along, and the hand-over. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ReportController {
    private static final int MOST_FILE = 20_000_000;
    private static final MediaType CSV = new MediaType("text", "csv", StandardCharsets.UTF_8);

    private final Parts parts;
    private final PartShells shells;
    private final Reports reports;
    private final ReportPdf pdf;
    private final RecordJson json;
    private final RecordCsv csv;
    private final WorkLog work;
    private final People people;
    private final Releases releases;
    private final SealCheck seals;
    private final OneRead reading;
    private final BigFiles files;
    private final Journal journal;
    private final OneWrite writing;

    @GetMapping("/parts/{tag}/report")
    String page(PartPage page) {
        return reading.of(() -> page(page, null));
    }

    private String page(PartPage page, String said) {
        PartFile part = page.part();
        page.show("head", shells.head(part, StepKind.HAND_OVER, page.writer()));
        List<Releases.Release> all = releases.ofCasting(part);
        Optional<Releases.Release> release =
                all.stream().filter(r -> r.visit().equals(part.visit().id())).findFirst();
        page.show("release", release.orElse(null));
        // What was handed over is shown as it was said that day, whatever was changed since.
        Optional<String> sealed = release.flatMap(r -> releases.paper(r.visit(), "page", page.unit()))
                .map(p -> new String(p, StandardCharsets.UTF_8));
        page.show("sealed", sealed.orElse(null));
        page.show("r", sealed.isPresent() ? null : reports.of(part, page.writer()));
        page.show("erased", release.flatMap(r -> releases.erasedAt(r.visit())).orElse(null));
        page.show("gone", part.visit().releasedAt().isPresent());
        page.show(
                "earlier", all.stream().filter(r -> r.no() < part.visit().no()).toList());
        page.show("said", said);
        page.show(
                "bare",
                shells.standing(part, page.writer())
                        .route()
                        .open(Operation.OIL_AND_BAG)
                        .isPresent());
        return "report/report";
    }

    @PostMapping("/parts/{tag}/report")
    String handOver(PartPage page, @RequestParam(defaultValue = "") String note, HttpServletResponse response) {
        PartFile part = page.part();
        PartHead head = shells.head(part, StepKind.HAND_OVER, page.writer());
        try {
            signed(page);
            writing.of(() -> {
                parts.handOver(part.id(), head.open(), note, page.me());
                // Read anew: it has been handed over since.
                releases.seal(parts.byTag(page.tag()), Optional.of(page.me()));
                if (part.visit().releasedAt().isEmpty() && !head.open().isEmpty()) {
                    journal.write(
                            Journal.What.LEFT_UNFINISHED,
                            page.me(),
                            part.tag() + ", " + String.join(", ", head.open()) + ": " + note.strip());
                }
                return true;
            });
            return "redirect:/parts/" + part.tag() + "/report";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(page, e.getMessage());
        }
    }

    /** A check that work made owed is passed over by the owner alone. */
    private void signed(PartPage page) {
        List<Operation> owed =
                shells.standing(page.part(), page.writer()).route().owed();
        if (!owed.isEmpty() && !page.shell().owner()) {
            throw new BadInputException(
                    "note",
                    "Owed before it leaves: "
                            + owed.stream().map(Operation::words).collect(Collectors.joining(", "))
                            + ". Do it, or have the owner sign on the route why it is left out.");
        }
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/report/oiled")
    String oiled(PartPage page) {
        PartFile part = page.part();
        shells.require(part, Operation.OIL_AND_BAG);
        work.write(part, page.lineId(), WorkEntry.Kind.DID, Operation.OIL_AND_BAG, "", page.me());
        return "redirect:/parts/" + part.tag() + "/report";
    }

    @GetMapping("/parts/{tag}/report.pdf")
    ResponseEntity<byte[]> pdf(PartPage page, @RequestParam(defaultValue = "0") int visit) {
        PartFile part = page.part();
        Optional<Releases.Release> release = release(part, visit);
        release.flatMap(r -> releases.erasedAt(r.visit())).ifPresent(at -> {
            throw new NotHereException("The PDF of that visit of " + part.tag()
                    + " went when the customer was erased: the report's page has the rest.");
        });
        Optional<byte[]> sealed = release.flatMap(r -> releases.paper(r.visit(), "pdf", page.unit()));
        return file(
                part.tag() + (visit > 0 ? "-visit-" + visit : "") + "-report.pdf",
                MediaType.APPLICATION_PDF,
                sealed.orElseGet(() -> pdf.print(reports.of(part, page.writer()))));
    }

    /** The sealed visit of that number; 0: the present one, where it was handed over. */
    private Optional<Releases.Release> release(PartFile part, int visit) {
        if (visit == 0) {
            return releases.of(part);
        }
        return Optional.of(releases.ofCasting(part).stream()
                .filter(r -> r.no() == visit)
                .findFirst()
                .orElseThrow(() -> new NotHereException(
                        "Visit " + visit + " of " + part.tag() + " is not sealed: it was not handed over.")));
    }

    /** The sealed record as it was sealed: its SHA-256 is the digest on the papers. */
    @GetMapping("/parts/{tag}/seal.json")
    ResponseEntity<byte[]> sealed(PartPage page, @RequestParam(defaultValue = "0") int visit) {
        PartFile part = page.part();
        Releases.Release release = release(part, visit)
                .orElseThrow(() -> new NotHereException(part.tag() + " is here still: it is sealed when it leaves."));
        return file(part.tag() + "-visit-" + release.no() + "-seal.json", MediaType.APPLICATION_JSON, release.seal());
    }

    /** Whether record, papers and tables still agree. */
    @GetMapping("/parts/{tag}/seal")
    String seals(PartPage page) {
        page.show("head", shells.head(page.part(), StepKind.HAND_OVER, page.writer()));
        page.show("found", seals.of(page.part()));
        page.show("names", people.names());
        return "report/seal";
    }

    /** Whether a file is one that was handed over; it is looked at and not kept. */
    @PostMapping("/parts/{tag}/seal/file")
    @ResponseBody
    String compare(PartPage page, InputStream in) throws IOException {
        try {
            return files.take(in, MOST_FILE, whole -> seals.paper(page.part(), whole.readAllBytes()));
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("file", "That is larger than any report: choose the PDF or the sealed record.");
        }
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
