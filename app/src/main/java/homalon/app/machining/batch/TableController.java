package homalon.app.machining.batch;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.devices.PartChanges;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import jakarta.servlet.http.HttpServletRequest;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Choosing what goes on one table together. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class TableController {
    /** As many as one looks at; the next come when the end of the list is in sight. */
    private static final int AT_ONCE = 10;

    private static final int MOST_PAGES = 10_000;

    private final Batches batches;
    private final BatchCandidates candidates;
    private final BatchForming forming;
    private final Parts parts;

    /**
     * A casting offered for the table.
     *
     * @param due the day that was promised, or asked for; empty for none
     * @param promised whether it was promised
     * @param planned whether its cut is planned
     */
    record Offer(
            String tag,
            String name,
            String customer,
            String line,
            String due,
            boolean promised,
            boolean planned,
            String toClean,
            String not,
            boolean on) {}

    /**
     * @param q finds in tag, engine, customer and casting number
     * @param lot of those offered, as the page asks for when the end of the list is in sight
     * @param marked tags that are marked already and stay in the list, whatever is looked for
     */
    @GetMapping("/batch")
    String choose(
            Page page,
            @RequestParam String with,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(name = "page", defaultValue = "0") int lot,
            @RequestParam(name = "tag", defaultValue = "") List<String> marked,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        if (lot < 0 || lot > MOST_PAGES) {
            throw new BadInputException("page", "app.batch.page-0-to", MOST_PAGES);
        }
        return page.read(() -> {
            PartFile first = parts.byTag(with);
            Optional<UUID> in = batches.ofPart(first);
            if (in.isPresent()) {
                return "redirect:/batch/" + in.get();
            }
            BatchCandidates.Candidates found = candidates.of(first, marked, q, lot, AT_ONCE);
            List<Offer> offers = new ArrayList<>();
            for (BatchCandidates.Candidate c : found.some()) {
                offers.add(new Offer(
                        c.part().tag(),
                        c.part().name(),
                        c.part().customer(),
                        Words.of(c.part().kindWords()),
                        c.part()
                                .visit()
                                .day()
                                .map(page.shell().days()::briefWithWeekday)
                                .orElse(""),
                        c.part().visit().promised().isPresent(),
                        c.plan().isPresent(),
                        c.plan()
                                .map(p -> page.writer().number(p.plan().toClean()))
                                .orElse("—"),
                        c.not(),
                        c.part().id().equals(first.id())
                                || marked.contains(c.part().tag())));
            }
            page.show("first", first);
            page.show("offers", offers);
            page.show("q", q);
            page.show("more", found.more() ? lot + 1 : null);
            return swap == null ? "machining/batch/choose" : "machining/batch/choose :: offers";
        });
    }

    @ToMachinists
    @PostMapping("/batch")
    String form(
            Page page,
            @RequestParam UUID id,
            @RequestParam(name = "tag", defaultValue = "") List<String> tags,
            HttpServletRequest request) {
        forming.form(id, tags, page.unit(), page.me());
        PartChanges.on(request, tags);
        return "redirect:/batch/" + id;
    }
}
