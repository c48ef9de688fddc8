package homalon.app.outcome.report;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.casting.work.WorkEntry;
import homalon.app.casting.work.WorkLog;
import homalon.app.foundation.load.BigFiles;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.people.People;
import homalon.app.foundation.people.Role;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.OneRead;
import homalon.app.foundation.web.OneWrite;
import homalon.app.foundation.web.Shell;
import homalon.core.input.BadInputException;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
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
    String page(@PathVariable String tag, Shell shell, Model model) {
        return reading.of(() -> page(parts.byTag(tag), shell, model, null));
    }

    private String page(PartFile part, Shell shell, Model model, String said) {
        model.addAttribute("head", shells.head(part, StepKind.HAND_OVER, shell.writer()));
        List<Releases.Release> all = releases.ofCasting(part);
        Optional<Releases.Release> release =
                all.stream().filter(r -> r.visit().equals(part.visit().id())).findFirst();
        model.addAttribute("release", release.orElse(null));
        // What was handed over is shown as it was said that day, whatever was changed since.
        Optional<String> sealed = release.flatMap(r -> releases.paper(r.visit(), "page", shell.unit()))
                .map(p -> new String(p, StandardCharsets.UTF_8));
        model.addAttribute("sealed", sealed.orElse(null));
        model.addAttribute("r", sealed.isPresent() ? null : reports.of(part, shell.writer()));
        model.addAttribute(
                "erased", release.flatMap(r -> releases.erasedAt(r.visit())).orElse(null));
        model.addAttribute("gone", part.visit().releasedAt().isPresent());
        model.addAttribute(
                "earlier", all.stream().filter(r -> r.no() < part.visit().no()).toList());
        model.addAttribute("said", said);
        model.addAttribute(
                "bare",
                shells.standing(part, shell.writer())
                        .route()
                        .open(Operation.OIL_AND_BAG)
                        .isPresent());
        return "report/report";
    }

    @PostMapping("/parts/{tag}/report")
    String handOver(
            @PathVariable String tag,
            @RequestParam(defaultValue = "") String note,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model,
            HttpServletResponse response) {
        PartFile part = parts.byTag(tag);
        PartHead head = shells.head(part, StepKind.HAND_OVER, shell.writer());
        try {
            signed(part, shell, me);
            writing.of(() -> {
                parts.handOver(part.id(), head.open(), note, me.id());
                releases.seal(parts.byTag(tag), Optional.of(me.id()));
                if (part.visit().releasedAt().isEmpty() && !head.open().isEmpty()) {
                    journal.write(
                            Journal.What.LEFT_UNFINISHED,
                            me.id(),
                            part.tag() + ", " + String.join(", ", head.open()) + ": " + note.strip());
                }
                return true;
            });
            return "redirect:/parts/" + part.tag() + "/report";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(part, shell, model, e.getMessage());
        }
    }

    /** A check that work made owed is passed over by the owner alone. */
    private void signed(PartFile part, Shell shell, Signed me) {
        List<Operation> owed = shells.standing(part, shell.writer()).route().owed();
        boolean owner = people.find(me.id()).filter(p -> p.role() == Role.OWNER).isPresent();
        if (!owed.isEmpty() && !owner) {
            throw new BadInputException(
                    "note",
                    "Owed before it leaves: "
                            + owed.stream().map(Operation::words).collect(Collectors.joining(", "))
                            + ". Do it, or have the owner sign on the route why it is left out.");
        }
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/report/oiled")
    String oiled(@PathVariable String tag, @RequestParam UUID id, @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        shells.require(part, Operation.OIL_AND_BAG);
        work.write(part, id, WorkEntry.Kind.DID, Operation.OIL_AND_BAG, "", me.id());
        return "redirect:/parts/" + part.tag() + "/report";
    }

    @GetMapping("/parts/{tag}/report.pdf")
    ResponseEntity<byte[]> pdf(@PathVariable String tag, @RequestParam(defaultValue = "0") int visit, Shell shell) {
        PartFile part = parts.byTag(tag);
        Optional<Releases.Release> release = release(part, visit);
        release.flatMap(r -> releases.erasedAt(r.visit())).ifPresent(at -> {
            throw new NotHereException("The PDF of that visit of " + part.tag()
                    + " went when the customer was erased: the report's page has the rest.");
        });
        Optional<byte[]> sealed = release.flatMap(r -> releases.paper(r.visit(), "pdf", shell.unit()));
        return file(
                part.tag() + (visit > 0 ? "-visit-" + visit : "") + "-report.pdf",
                MediaType.APPLICATION_PDF,
                sealed.orElseGet(() -> pdf.print(reports.of(part, shell.writer()))));
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
    ResponseEntity<byte[]> sealed(@PathVariable String tag, @RequestParam(defaultValue = "0") int visit) {
        PartFile part = parts.byTag(tag);
        Releases.Release release = release(part, visit)
                .orElseThrow(() -> new NotHereException(part.tag() + " is here still: it is sealed when it leaves."));
        return file(part.tag() + "-visit-" + release.no() + "-seal.json", MediaType.APPLICATION_JSON, release.seal());
    }

    /** Whether record, papers and tables still agree. */
    @GetMapping("/parts/{tag}/seal")
    String seals(PartFile part, Shell shell, Model model) {
        model.addAttribute("head", shells.head(part, StepKind.HAND_OVER, shell.writer()));
        model.addAttribute("found", seals.of(part));
        model.addAttribute("names", people.names());
        return "report/seal";
    }

    /** Whether a file is one that was handed over; it is looked at and not kept. */
    @PostMapping("/parts/{tag}/seal/file")
    @ResponseBody
    String compare(@PathVariable String tag, InputStream in) throws IOException {
        try {
            return files.take(in, MOST_FILE, whole -> seals.paper(parts.byTag(tag), whole.readAllBytes()));
        } catch (BigFiles.TooLargeException e) {
            throw new BadInputException("file", "That is larger than any report: choose the PDF or the sealed record.");
        }
    }

    @GetMapping("/parts/{tag}/record.json")
    ResponseEntity<byte[]> json(@PathVariable String tag, @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        return taken(me, part.tag() + "-record.json", MediaType.APPLICATION_JSON, json.write(part));
    }

    @GetMapping("/parts/{tag}/readings.csv")
    ResponseEntity<byte[]> readings(@PathVariable String tag, @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        return taken(me, part.tag() + "-readings.csv", CSV, csv.readings(part));
    }

    @GetMapping("/parts/{tag}/ledger.csv")
    ResponseEntity<byte[]> ledger(@PathVariable String tag, @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        return taken(me, part.tag() + "-ledger.csv", CSV, csv.ledger(part));
    }

    /** What leaves the shop as data is noted. */
    private ResponseEntity<byte[]> taken(Signed me, String name, MediaType type, byte[] content) {
        journal.write(Journal.What.EXPORTED, me.id(), name);
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
