package homalon.app.casting.work;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Page;
import java.time.Clock;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the top of every page asks about timers. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class TimerController {
    private static final String RUNNING = "casting/work/timers :: running";

    private final Timers timers;
    private final Clock clock;

    /** @param left seconds, by the server's clock; below zero once it has run out */
    record Left(UUID id, String tag, String what, long left) {}

    @GetMapping("/timers")
    String running(Page page) {
        long now = clock.instant().getEpochSecond();
        page.show(
                "timers",
                timers.running().stream()
                        .map(t -> new Left(t.id(), t.tag(), t.what(), t.endsAt().getEpochSecond() - now))
                        .toList());
        return RUNNING;
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/timers")
    String start(
            PartPage page,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String minutes) {
        timers.start(page.part(), page.lineId(), what, minutes, page.me());
        return running(page);
    }

    @ToMachinists
    @PostMapping("/timers/{id}/stop")
    String stop(Page page, @PathVariable UUID id) {
        timers.stop(id);
        return running(page);
    }
}
