package homalon.app.machining.valves;

import homalon.app.casting.part.PartFile;
import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.web.Shell;
import java.util.Map;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the pages of work on valves have in common: to be opened, and to take back what was written as done. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class WorkController {
    private final Parts parts;
    private final WorkOnValves work;
    private final WorkPages pages;

    @GetMapping("/parts/{tag}/{page:guides|inserts|seats}")
    String page(
            @PathVariable String tag,
            @PathVariable String page,
            @RequestParam(defaultValue = "") String valve,
            Shell shell,
            Model model) {
        return pages.page(parts.byTag(tag), of(page), valve, shell, model);
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/{page:guides|inserts|seats}/{valve}/take-back")
    String takeBack(
            @PathVariable String tag,
            @PathVariable String page,
            @PathVariable String valve,
            @RequestParam UUID id,
            @AuthenticationPrincipal Signed me,
            Shell shell,
            Model model) {
        WorkPage of = of(page);
        PartFile part = work.keep(tag, id, valve, Map.of(of.done(), ""), shell.unit(), me.id(), (f, v) -> {});
        return pages.live(part, of, valve, shell, model);
    }

    private static WorkPage of(String path) {
        for (WorkPage p : WorkPage.values()) {
            if (p.path().equals(path)) {
                return p;
            }
        }
        throw new NotHereException("There is no such page: go back to the bench.");
    }
}
