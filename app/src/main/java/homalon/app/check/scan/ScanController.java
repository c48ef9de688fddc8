package homalon.app.check.scan;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.PartShells;
import homalon.app.casting.part.Parts;
import homalon.app.check.face.FaceViews;
import homalon.app.check.face.Findings;
import homalon.app.check.face.SurveyKind;
import homalon.app.foundation.devices.LiveBus;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Shell;
import homalon.core.face.ScanFormat;
import homalon.core.face.ScanLook;
import homalon.core.face.ScanUnit;
import homalon.core.part.Layout;
import homalon.core.quantity.Length;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Scans of a face: looked at first, then taken in as they stream, then shown. */
@ToEverybody
@Controller
@RequestMapping("/parts/{tag}/{kind:scan|proof-scan}")
@RequiredArgsConstructor
class ScanController {
    private static final int HEAD = 1 << 16;
    private static final Length USUAL = Length.ofMm("0.005");
    private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final Parts parts;
    private final PartShells shells;
    private final Faces faces;
    private final Scans scans;
    private final People people;
    private final LiveBus bus;

    @GetMapping
    String page(
            PartFile part,
            @PathVariable String kind,
            @RequestParam(required = false) UUID scan,
            @RequestParam(defaultValue = "false") boolean another,
            Shell shell,
            Model model) {
        List<ScanFile> all = scans.of(part, kind(kind));
        frame(part, kind, shell, model);
        if (all.isEmpty() || another) {
            model.addAttribute(
                    "drawing",
                    FaceDrawing.of(faces.layout(part.numbers()), "scan", "The face to be scanned, front at the left")
                            .svg());
            model.addAttribute("uncertainty", shell.writer().full(USUAL));
            return "scan/start";
        }
        ScanFile shown =
                all.stream().filter(s -> s.id().equals(scan)).findFirst().orElse(all.get(0));
        model.addAttribute("view", view(part, shown, all, shell));
        return "scan/scan";
    }

    private void frame(PartFile part, String kind, Shell shell, Model model) {
        model.addAttribute("proof", kind(kind) == SurveyKind.PROOF);
        model.addAttribute("path", kind);
        model.addAttribute("head", shells.head(part, kind(kind).step(), shell.writer()));
    }

    private ScanView view(PartFile part, ScanFile scan, List<ScanFile> all, Shell shell) {
        Layout layout = faces.layout(part.numbers());
        Findings.Finding finding = scans.finding(part, scan);
        FaceViews.Figures figures = FaceViews.figures(finding, layout, shell.unit());
        FaceDrawing drawing =
                FaceDrawing.of(layout, "scan", "Scan of " + part.tag() + ", front at the left. " + finding.shape());
        finding.map().ifPresent(m -> drawing.map(m, figures.bands().orElseThrow()));
        Map<UUID, String> names = people.names();
        return new ScanView(
                scan.id(),
                scan.name(),
                when(scan, names) + ", scanner good to " + shell.writer().full(scan.uncertainty()),
                drawing,
                figures,
                scans.notes(part, scan),
                all.stream()
                        .filter(s -> !s.id().equals(scan.id()))
                        .map(s -> new ScanView.Other(s.id(), s.name(), when(s, names)))
                        .toList());
    }

    private static String when(ScanFile scan, Map<UUID, String> names) {
        return WHEN.format(scan.at().atZone(ZoneId.systemDefault())) + " by "
                + names.getOrDefault(scan.by(), "someone");
    }

    /** What the first lines of a file tell, and what has to be asked. */
    @ToMachinists
    @PostMapping(path = "/look", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String look(
            PartFile part,
            @PathVariable String kind,
            @RequestParam(defaultValue = "false") boolean whole,
            HttpServletRequest request,
            Model model)
            throws IOException {
        String head = new String(request.getInputStream().readNBytes(HEAD), StandardCharsets.UTF_8);
        model.addAttribute(
                "look", ScanLook.at(head, whole, faces.layout(part.numbers()).box()));
        model.addAttribute("units", ScanUnit.values());
        return "scan/start :: look";
    }

    /** Takes a file in; answers with the address where it is shown. */
    @ToMachinists
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<String> take(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam UUID id,
            @RequestParam String name,
            @RequestParam char separator,
            @RequestParam boolean decimalComma,
            @RequestParam int skip,
            @RequestParam int columns,
            @RequestParam int x,
            @RequestParam int y,
            @RequestParam int z,
            @RequestParam ScanUnit places,
            @RequestParam ScanUnit heights,
            @RequestParam(defaultValue = "false") boolean highIsMinus,
            @RequestParam(defaultValue = "") String uncertainty,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            HttpServletRequest request)
            throws IOException {
        PartFile part = parts.byTag(tag);
        Length unsure = uncertainty.isBlank() ? USUAL : Length.parse(uncertainty, shell.unit());
        if (columns < 3 || columns > 100 || skip < 0) {
            throw new homalon.core.input.BadInputException(
                    "columns", "Look at the file again: it has 3 to 100 columns.");
        }
        ScanFormat format = new ScanFormat(separator, decimalComma, skip, columns, x, y, z, places, heights);
        try (InputStream in = request.getInputStream()) {
            scans.take(
                    part,
                    new Scans.Taking(id, kind(kind), name, format, highIsMinus, unsure),
                    in,
                    me.id(),
                    said -> bus.tell("scan-" + id, said));
        }
        return ResponseEntity.ok().contentType(MediaType.TEXT_PLAIN).body("/parts/" + part.tag() + "/" + kind);
    }

    /** Fills the places of the indicator's survey from a scan, so that the cut can be planned on it. */
    @ToMachinists
    @PostMapping("/places")
    String places(
            @PathVariable String tag,
            @PathVariable String kind,
            @RequestParam UUID scan,
            @AuthenticationPrincipal Signed me) {
        PartFile part = parts.byTag(tag);
        ScanFile file = scans.find(part, kind(kind), scan)
                .orElseThrow(() -> new NotHereException("There is no such scan: go back to the part."));
        scans.readPlaces(part, file, me.id());
        return "redirect:/parts/" + part.tag() + "/" + kind(kind).path();
    }

    private static SurveyKind kind(String path) {
        return path.equals("scan") ? SurveyKind.FACE : SurveyKind.PROOF;
    }
}
