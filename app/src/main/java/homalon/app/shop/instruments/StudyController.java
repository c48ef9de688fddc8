package homalon.app.shop.instruments;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Keyed;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.WriteTransaction;
import homalon.core.gauge.Repeatability;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The walk of a study, and what comes of it. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class StudyController {
    private final Instruments instruments;
    private final Studies studies;
    private final Journal journal;
    private final WriteTransaction writing;

    @ToMachinists
    @PostMapping("/instruments/{code}/studies")
    String begin(
            Page page,
            @PathVariable String code,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String hands,
            @RequestParam(defaultValue = "") String places,
            @RequestParam(defaultValue = "") String times,
            @RequestParam(defaultValue = "") String width) {
        Instruments.Known known = instruments.known(code);
        try {
            List<String> names = Arrays.stream(Blanks.of(hands).split("[,;]"))
                    .map(String::strip)
                    .filter(h -> !h.isEmpty())
                    .toList();
            Studies.Asked asked = new Studies.Asked(
                    names,
                    whole(places),
                    whole(times),
                    GaugeFigures.read(known.instrument().kind(), width, page.unit(), "width"));
            return "redirect:/instruments/" + known.instrument().code() + "/studies/"
                    + studies.begin(id, known.id(), asked, page.me());
        } catch (RefusedInputException e) {
            page.refuse(e);
            page.show("known", known);
            return "shop/instruments/study-refused";
        }
    }

    /** 0 for what is no number, which no study has. */
    private static int whole(String typed) {
        return typed.strip().matches("[0-9]{1,3}") ? Integer.parseInt(typed.strip()) : 0;
    }

    @GetMapping("/instruments/{code}/studies/{id}")
    String page(Page page, @PathVariable String code, @PathVariable UUID id) {
        return page.read(() -> show(page, code, id, "shop/instruments/study"));
    }

    /** Looked at before anything is written: what one instrument reads is no reading of another. */
    private Studies.Study of(Instruments.Known known, UUID id) {
        Studies.Study study = studies.find(id);
        if (!study.instrument().equals(known.id())) {
            throw new NotHereException("That study is of another instrument.");
        }
        return study;
    }

    private String show(Page page, String code, UUID id, String view) {
        Instruments.Known known = instruments.known(code);
        Studies.Study study = of(known, id);
        page.show("known", known);
        page.show("study", StudyView.of(known.instrument(), study, page.writer()));
        return view;
    }

    @ToMachinists
    @PostMapping("/instruments/{code}/studies/{id}/readings")
    String key(Page page, @PathVariable String code, @PathVariable UUID id, Keyed keyed) {
        Instruments.Known known = instruments.known(code);
        of(known, id);
        writing.of(() -> {
            studies.key(id, known.instrument().kind(), keyed, page.me());
            return true;
        });
        return live(page, code, id);
    }

    @ToMachinists
    @PostMapping("/instruments/{code}/studies/{id}/undo")
    String undo(Page page, @PathVariable String code, @PathVariable UUID id, @RequestParam(name = "id") UUID line) {
        of(instruments.known(code), id);
        int slot = studies.undo(id, line, page.me())
                .orElseThrow(() -> new BadInputException("undo", "app.face.nothing-of-yours-is-left-to-take-back"));
        page.standAt(slot);
        return live(page, code, id);
    }

    @GetMapping("/instruments/{code}/studies/{id}/live")
    String live(Page page, @PathVariable String code, @PathVariable UUID id) {
        return page.read(() -> show(page, code, id, "shop/instruments/study :: live"));
    }

    /** What it is good to from now on, by this study. */
    @ToOwners
    @PostMapping("/instruments/{code}/studies/{id}/use")
    String use(Page page, @PathVariable String code, @PathVariable UUID id) {
        Instruments.Known known = instruments.known(code);
        double both = of(known, id)
                .result()
                .map(Repeatability::both)
                .orElseThrow(() -> new BadInputException("study", "app.instruments.study-read-it-to-its-end"));
        instruments.amend(known.instrument().good(both));
        journal.write(Journal.What.TOOLS_CHANGED, page.me(), known.called() + " good to what a study found");
        return "redirect:/instruments/" + known.instrument().code();
    }
}
