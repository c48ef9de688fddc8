package homalon.app.check.scan;

import homalon.app.casting.part.Faces;
import homalon.app.casting.part.PartPage;
import homalon.app.check.face.FaceViews;
import homalon.app.foundation.devices.LiveBus;
import homalon.app.foundation.drawing.FaceDrawing;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.people.People;
import homalon.app.foundation.time.WrittenDay;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.core.face.ScanLook;
import homalon.core.face.ScanUnit;
import homalon.core.part.Layout;
import homalon.core.quantity.DayForm;
import homalon.core.visit.FaceFinding;
import homalon.core.visit.PartFile;
import homalon.core.visit.ScanFile;
import homalon.core.visit.SurveyKind;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.validation.Valid;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
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

    private final Faces faces;
    private final Scans scans;
    private final ScanPlaces places;
    private final People people;
    private final LiveBus bus;

    @GetMapping
    String page(
            PartPage page,
            @PathVariable String kind,
            @RequestParam(required = false) UUID scan,
            @RequestParam(defaultValue = "false") boolean another) {
        PartFile part = page.part();
        List<ScanFile> all = scans.of(part, kind(kind));
        frame(page, kind);
        if (all.isEmpty() || another) {
            page.show(
                    "drawing",
                    FaceDrawing.of(faces.layout(part.numbers()), "scan", "The face to be scanned, front at the left")
                            .svg());
            page.show("uncertainty", page.writer().full(ScanForm.USUAL));
            return "check/scan/start";
        }
        ScanFile shown =
                all.stream().filter(s -> s.id().equals(scan)).findFirst().orElse(all.get(0));
        page.show("view", view(page, shown, all));
        return "check/scan/scan";
    }

    private void frame(PartPage page, String kind) {
        page.show("proof", kind(kind) == SurveyKind.PROOF);
        page.show("path", kind);
        page.frame(kind(kind).step());
    }

    private ScanView view(PartPage page, ScanFile scan, List<ScanFile> all) {
        PartFile part = page.part();
        Layout layout = faces.layout(part.numbers());
        FaceFinding finding = scans.finding(part, scan);
        FaceViews.Figures figures = FaceViews.figures(finding, layout, page.unit());
        FaceDrawing drawing = FaceDrawing.of(
                layout, "scan", "Scan of " + part.tag() + ", front at the left. " + Words.of(finding.shape()));
        finding.map().ifPresent(m -> drawing.map(m, figures.bands().orElseThrow()));
        finding.sureness().ifPresent(s -> drawing.unknown(s.unknown()));
        Map<UUID, String> names = people.names();
        return new ScanView(
                scan.id(),
                scan.name(),
                when(scan, names, page.shell().days()) + ", scanner good to "
                        + page.writer().full(scan.uncertainty()),
                drawing,
                figures,
                scans.notes(part, scan),
                all.stream()
                        .filter(s -> !s.id().equals(scan.id()))
                        .map(s -> new ScanView.Other(
                                s.id(), s.name(), when(s, names, page.shell().days())))
                        .toList());
    }

    private static String when(ScanFile scan, Map<UUID, String> names, DayForm days) {
        return WrittenDay.moment(scan.at(), days) + " by " + names.getOrDefault(scan.by(), "someone");
    }

    /** What the first lines of a file tell, and what has to be asked. */
    @ToMachinists
    @PostMapping(path = "/look", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    String look(
            PartPage page,
            @PathVariable String kind,
            @RequestParam(defaultValue = "false") boolean whole,
            HttpServletRequest request)
            throws IOException {
        String head = new String(request.getInputStream().readNBytes(HEAD), StandardCharsets.UTF_8);
        page.show(
                "look",
                ScanLook.at(head, whole, faces.layout(page.part().numbers()).box()));
        page.show("units", ScanUnit.values());
        return "check/scan/start :: look";
    }

    /** Takes a file in; answers with the address where it is shown. */
    @ToMachinists
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<String> take(
            PartPage page, @PathVariable String kind, @Valid @ModelAttribute ScanForm form, HttpServletRequest request)
            throws IOException {
        PartFile part = page.part();
        Scans.Taking taking = new Scans.Taking(
                page.lineId(), kind(kind), form.name(), form.format(), form.highIsMinus(), form.unsure(page.unit()));
        try (InputStream in = request.getInputStream()) {
            scans.take(part, taking, in, page.me(), said -> bus.tell("scan-" + page.lineId(), said));
        }
        return ResponseEntity.ok().contentType(MediaType.TEXT_PLAIN).body("/parts/" + part.tag() + "/" + kind);
    }

    /** Fills the places of the indicator's survey from a scan, so that the cut can be planned on it. */
    @ToMachinists
    @PostMapping("/places")
    String places(PartPage page, @PathVariable String kind, @RequestParam UUID scan) {
        PartFile part = page.part();
        ScanFile file = scans.find(part, kind(kind), scan)
                .orElseThrow(() -> new NotHereException("There is no such scan: go back to the part."));
        places.read(part, file, page.me());
        return "redirect:/parts/" + part.tag() + "/" + kind(kind).path();
    }

    private static SurveyKind kind(String path) {
        return path.equals("scan") ? SurveyKind.FACE : SurveyKind.PROOF;
    }
}
