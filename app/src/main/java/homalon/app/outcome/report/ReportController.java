package homalon.app.outcome.report;

import homalon.app.casting.part.PartHead;
import homalon.app.casting.part.PartPage;
import homalon.app.casting.work.OwnTicks;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.times.TimeOnIt;
import homalon.core.input.BadInputException;
import homalon.core.route.Operation;
import homalon.core.route.StepKind;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lombok.RequiredArgsConstructor;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The last step: the report on the screen, what can be taken along, and the hand-over. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ReportController {
    private final Reports reports;
    private final OwnTicks lines;
    private final Releases releases;
    private final SealedPapers papers;
    private final HandOver handOver;
    private final ReportPrint print;
    private final TimeOnIt times;

    @GetMapping("/parts/{tag}/report")
    String page(PartPage page) {
        return page.read(() -> page(page, null));
    }

    /** A visit as it was handed over; the one in hand has its own page. */
    @GetMapping("/parts/{tag}/visits/{no}")
    String visit(PartPage page, @PathVariable int no) {
        return page.read(() -> {
            PartFile part = page.part();
            if (no == part.visit().no()) {
                return "redirect:/parts/" + part.tag() + "/report";
            }
            Releases.Release release = releases.of(part, no).orElseThrow();
            page.frame();
            page.show("no", no);
            page.show("erased", papers.erasedAt(release.visit()).orElse(null));
            page.show(
                    "sealed",
                    papers.paper(release.visit(), "page", page.unit())
                            .map(p -> new String(p, StandardCharsets.UTF_8))
                            .orElseThrow(() -> new NotHereException("The page of visit " + no + " was not kept.")));
            return "outcome/report/visit";
        });
    }

    private String page(PartPage page, String said) {
        PartFile part = page.part();
        page.frame(StepKind.HAND_OVER);
        List<Releases.Release> all = releases.ofCasting(part);
        Optional<Releases.Release> release =
                all.stream().filter(r -> r.visit().equals(part.visit().id())).findFirst();
        page.show("release", release.orElse(null));
        // What was handed over is shown as it was said that day, whatever was changed since.
        Optional<String> sealed = release.flatMap(r -> papers.paper(r.visit(), "page", page.unit()))
                .map(p -> new String(p, StandardCharsets.UTF_8));
        page.show("sealed", sealed.orElse(null));
        page.show("r", sealed.isPresent() ? null : reports.of(part, page.writer()));
        page.show("erased", release.flatMap(r -> papers.erasedAt(r.visit())).orElse(null));
        page.show("gone", part.visit().releasedAt().isPresent());
        page.show(
                "earlier", all.stream().filter(r -> r.no() < part.visit().no()).toList());
        page.show("printed", print.unit(part, page.unit()));
        page.show("said", said);
        page.show("time", times.of(part));
        page.show("lines", lines.at(part, StepKind.HAND_OVER));
        page.show("bare", page.standing().route().open(Operation.OIL_AND_BAG).isPresent());
        return "outcome/report/report";
    }

    @PostMapping("/parts/{tag}/report")
    String handOver(PartPage page, @RequestParam(defaultValue = "") String note, HttpServletResponse response) {
        PartFile part = page.part();
        List<String> open = PartHead.open(page.standing());
        try {
            signed(page);
            handOver.of(part, open, note, page.me());
            return "redirect:/parts/" + part.tag() + "/report";
        } catch (BadInputException e) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(page, Words.of(e.sentence()));
        }
    }

    /** A check that work made owed, or a line of the shop's own, is passed over by the owner alone. */
    private void signed(PartPage page) {
        List<Operation> owed = page.standing().route().owed();
        List<String> toTick = page.standing().toTick();
        if (!toTick.isEmpty() && !page.shell().owner()) {
            throw new BadInputException(
                    "note", "app.report.tick-before-it-leaves-or-have-the", String.join(", ", toTick));
        }
        if (!owed.isEmpty() && !page.shell().owner()) {
            throw new BadInputException(
                    "note",
                    "app.report.owed-before-it-leaves-do-it-or-have-the",
                    owed.stream().map(it -> Words.of(it.words())).collect(Collectors.joining(", ")));
        }
    }
}
