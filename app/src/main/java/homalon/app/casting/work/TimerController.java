package homalon.app.casting.work;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.security.Signed;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What the top of every page asks about timers. */
@ToEverybody
@RestController
@RequiredArgsConstructor
class TimerController {
    private final Timers timers;
    private final Parts parts;
    private final Clock clock;

    /** @param left seconds, by the server's clock; below zero once it has run out */
    record Left(UUID id, String tag, String what, long left) {}

    @GetMapping("/timers")
    List<Left> running() {
        return timers.running().stream()
                .map(t -> new Left(
                        t.id(),
                        t.tag(),
                        t.what(),
                        t.endsAt().getEpochSecond() - clock.instant().getEpochSecond()))
                .toList();
    }

    @ToMachinists
    @PostMapping("/parts/{tag}/timers")
    List<Left> start(
            @PathVariable String tag,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String minutes,
            @AuthenticationPrincipal Signed me) {
        timers.start(parts.byTag(tag), id, what, minutes, me.id());
        return running();
    }

    @ToMachinists
    @PostMapping("/timers/{id}/stop")
    ResponseEntity<Void> stop(@PathVariable UUID id) {
        timers.stop(id);
        return ResponseEntity.noContent().build();
    }
}
