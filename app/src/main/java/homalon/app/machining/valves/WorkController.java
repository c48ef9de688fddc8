package homalon.app.machining.valves;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the pages of work on valves have in common: to be opened, and to take back what was written as done. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class WorkController {
    private final WorkPages pages;

    @GetMapping("/parts/{tag}/{of:guides|inserts|seats}")
    String page(PartPage page, @PathVariable WorkPage of, @RequestParam(defaultValue = "") String valve) {
        return pages.page(page, of, valve);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{of:guides|inserts|seats}/{valve}/take-back")
    String takeBack(PartPage page, @PathVariable WorkPage of, @PathVariable String valve) {
        return pages.keep(page, of, valve, Map.of(of.done(), ""), (f, v) -> {});
    }
}
