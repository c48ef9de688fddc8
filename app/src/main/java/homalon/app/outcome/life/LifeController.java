package homalon.app.outcome.life;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The life of a casting on one page. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class LifeController {
    private final LifeViews views;

    /**
     * @param then the earlier of two faces to compare, as {@link LifeView.Choice} names it; blank or unknown: the first one
     * @param now the later one; blank or unknown: the last one
     */
    @GetMapping("/parts/{tag}/life")
    String life(
            PartPage page, @RequestParam(defaultValue = "") String then, @RequestParam(defaultValue = "") String now) {
        return page.read(() -> {
            page.frame();
            page.show("view", views.of(page.part(), then, now, page.writer()));
            return "outcome/life/life";
        });
    }
}
