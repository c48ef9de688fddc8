package homalon.app.machining.valves;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.words.Words;
import homalon.core.guides.GuideFit;
import homalon.core.guides.Ladder;
import homalon.core.input.BadInputException;
import homalon.core.part.Valve;
import homalon.core.quantity.Length;
import homalon.core.quantity.LengthWriter;
import homalon.core.route.Operation;
import homalon.core.visit.Said;
import homalon.core.visit.ValveFile;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.util.StringUtils;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Guides: what is chosen for each, what is ordered, what was done. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class GuideController {
    private final ValveFiles files;
    private final GuideViews views;
    private final WorkPages pages;

    @ToMachinists
    @PostMapping("/parts/{tag}/guides/{valve}/choose")
    String choose(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String rung,
            @RequestParam(defaultValue = "") String housing,
            @RequestParam(defaultValue = "") String item) {
        boolean replaces = rung.equals(Ladder.Rung.REPLACE.name());
        return pages.keep(
                page,
                WorkPage.GUIDES,
                valve,
                Map.of(Said.GUIDE, rung, Said.HOUSING, housing, Said.GUIDE_ITEM, replaces ? item : ""),
                (file, v) -> helps(file, v, rung, replaces ? item : "", page.writer()));
    }

    /** The same repair for every other valve of the kind whose guide is due and has none chosen; each housing is measured by itself. */
    @ToMachinists
    @PostMapping("/parts/{tag}/guides/{valve}/for-all")
    String forAll(PartPage page, @PathVariable String valve) {
        return pages.keepForAll(
                page,
                WorkPage.GUIDES,
                valve,
                List.of(Said.GUIDE),
                (file, v) -> file.guide(v) == ValveFile.Work.DUE
                        && file.text(v, Said.GUIDE).isEmpty(),
                (file, v) -> helps(file, v, file.text(v, Said.GUIDE).orElse(""), "", page.writer()));
    }

    /** Refuses a repair that does not help this guide. */
    private void helps(ValveFile file, Valve v, String rung, String item, LengthWriter writer) {
        Optional<Ladder.Step> step =
                ValveFile.rung(rung).flatMap(r -> GuideViews.ladder(file, v).map(l -> l.rung(r)));
        if (!rung.isEmpty() && step.isEmpty()) {
            throw new BadInputException("rung", "app.valves.read-the-stem-and-the-guide-first-then");
        }
        if (step.filter(s -> s.helps() == Ladder.Helps.NO).isPresent()) {
            throw new BadInputException(
                    "rung",
                    "app.valves.does-not-help-here",
                    StringUtils.capitalize(Words.of(step.get().rung().words())),
                    Words.of(step.get().why(), writer));
        }
        file.length(v, Said.HOUSING)
                .ifPresent(h -> GuideFit.of(
                        h.mm(),
                        file.part().material(),
                        List.of(),
                        file.part().rules().books()));
        fits(file, v, item);
    }

    /** A guide that was chosen must bite in the housing that was measured, as it is or after it was reamed. */
    private void fits(ValveFile file, Valve v, String item) {
        Optional<GuideFit> fit = views.fit(file, v);
        if (item.isEmpty()) {
            return;
        }
        GuideFit.One one = fit
                .orElseThrow(
                        () -> new BadInputException("housing", "app.valves.measure-the-bore-in-the-casting-before"))
                .each()
                .stream()
                .filter(o -> o.guide().code().equals(item))
                .findFirst()
                .orElseThrow(() -> new BadInputException("item", "app.valves.that-guide-is-not-on-the-shops-list"));
        boolean reamed =
                fit.get().ream().filter(r -> r.guide().code().equals(item)).isPresent();
        if (!one.answer().sits() && !reamed) {
            throw new BadInputException(
                    "item",
                    "app.valves.in-this-housing-choose-one-that-bites",
                    item,
                    one.answer().words());
        }
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/guides/{valve}/done")
    String done(
            PartPage page,
            @PathVariable String valve,
            @RequestParam(defaultValue = "") String size,
            @RequestParam(defaultValue = "") String height) {
        page.require(Operation.GUIDE_WORK);
        ValveFile file = files.require(page.part());
        String rung = file.text(file.valve(valve), Said.GUIDE)
                .filter(g -> !g.equals(Ladder.Rung.AS_IS.name()))
                .orElseThrow(() -> new BadInputException("done", "app.valves.choose-first-what-is-done-to-this-guide"));
        if (size.isBlank()) {
            throw new BadInputException("size", "app.valves.key-the-size-it-was-finished-at");
        }
        String written = rung + " " + Length.parseSize(size, page.unit()).nanometres();
        return pages.done(
                page,
                WorkPage.GUIDES,
                valve,
                height.isBlank()
                        ? Map.of(Said.GUIDE_DONE, written)
                        : Map.of(Said.GUIDE_DONE, written, Said.GUIDE_SET, height));
    }
}
