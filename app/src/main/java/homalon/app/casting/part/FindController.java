package homalon.app.casting.part;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.visit.PartFile;
import homalon.core.visit.Wanted;
import java.util.List;
import java.util.Optional;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** Finding a part by whatever is known of it. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class FindController {
    private static final int AT_ONCE = 15;
    private static final int MOST_PAGES = 10_000;

    private final Parts parts;
    private final PartFinder finder;

    @GetMapping("/find")
    String find(
            Page page,
            @RequestParam(defaultValue = "") String q,
            @RequestParam(name = "page", defaultValue = "0") int lot,
            @RequestHeader(name = "HX-Request", required = false) String swap) {
        if (lot < 0 || lot > MOST_PAGES) {
            throw new BadInputException("page", "app.part.page-0-to", MOST_PAGES);
        }
        Optional<PartFile> exact = parts.find(q);
        if (exact.isPresent()) {
            return "redirect:/parts/" + exact.get().tag();
        }
        PartFinder.Some found = finder.search(Wanted.read(q, page.unit()), lot, AT_ONCE);
        page.show("q", q);
        page.show("near", found.near());
        page.show("found", FoundView.of(found.parts(), page));
        page.show("next", found.more() ? lot + 1 : null);
        return swap == null ? "casting/part/find" : "casting/part/find :: list";
    }

    /** What the search field proposes while one types. */
    @GetMapping("/find/list")
    String findList(Page page, @RequestParam(defaultValue = "") String q) {
        PartFinder.Some found = q.isBlank()
                ? new PartFinder.Some(List.of(), false, false)
                : finder.search(Wanted.read(q, page.unit()), 0, 6);
        page.show("found", FoundView.of(found.parts(), page));
        page.show("near", found.near());
        page.show("q", q);
        page.show("next", null);
        return "casting/part/find :: list";
    }

    /** Whether the shop knows a casting of this number or engine, so that the sheet can be filled as it. */
    @GetMapping("/parts/known")
    String known(
            Page page,
            @RequestParam(defaultValue = "") String castingNumber,
            @RequestParam(defaultValue = "") String name) {
        page.show(
                "known",
                finder.like(castingNumber, name)
                        .map(p -> FoundView.of(List.of(p), page).get(0))
                        .orElse(null));
        return "casting/part/known";
    }
}
