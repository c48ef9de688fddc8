package homalon.app.outcome.day;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Page;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.outcome.plan.PinBook;
import homalon.core.bench.Pin;
import homalon.core.bench.RouteWorks;
import homalon.core.input.BadInputException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Says of a work when it is done, not before which day, on which station or by whom; the plan goes by it from now on. */
@ToMachinists
@Controller
@RequiredArgsConstructor
class PinController {
    private final RulePage rule;
    private final DayPlans plans;
    private final PinBook pins;
    private final Parts parts;

    /** How the rule is looked at meanwhile. */
    record Shown(@Nullable String by, @Nullable Integer days) {
        RulePage.Look at(String work) {
            return new RulePage.Look(Blanks.of(by), days == null ? 1 : days, Optional.of(work));
        }
    }

    /** It begins at that time, there and in those hands; empty for any. */
    @PostMapping("/day/pin")
    String pin(
            Page page,
            @ModelAttribute Shown shown,
            @RequestParam UUID id,
            @RequestParam String work,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE_TIME) LocalDateTime at,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String person) {
        Instant begins = at.atZone(DayWords.zone()).toInstant();
        Pin pin = new Pin(Optional.of(begins), Optional.empty(), said(station), said(person));
        return say(page, shown.at(work), id, pin, "Pinned: the rest is planned around it.");
    }

    /** It is done there, by that person, whenever there is room. */
    @PostMapping("/day/send")
    String send(
            Page page,
            @ModelAttribute Shown shown,
            @RequestParam UUID id,
            @RequestParam String work,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String person) {
        Pin pin = new Pin(Optional.empty(), Optional.empty(), said(station), said(person));
        return say(
                page,
                shown.at(work),
                id,
                pin,
                pin.none() ? "No station and nobody is said for it now." : "Sent: the rest is planned around it.");
    }

    @PostMapping("/day/hold")
    String hold(
            Page page,
            @ModelAttribute Shown shown,
            @RequestParam UUID id,
            @RequestParam String work,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day) {
        Instant from = day.atStartOfDay(DayWords.zone()).toInstant();
        Pin pin = new Pin(Optional.empty(), Optional.of(from), Optional.empty(), Optional.empty());
        return say(page, shown.at(work), id, pin, "Held: it is not begun before.");
    }

    @PostMapping("/day/unpin")
    String unpin(Page page, @ModelAttribute Shown shown, @RequestParam UUID id, @RequestParam String work) {
        return say(page, shown.at(work), id, Pin.NONE, "The pin is off: it is planned as all else.");
    }

    private static Optional<String> said(String one) {
        return Optional.of(one.strip()).filter(o -> !o.isEmpty());
    }

    private String say(Page page, RulePage.Look look, UUID id, Pin pin, String done) {
        return rule.changed(page, look, done, () -> {
            String work = look.work()
                    .flatMap(plans.now().posted()::line)
                    .map(l -> l.told().work())
                    .orElseThrow(() -> new BadInputException("work", "app.plan.that-is-not-planned-any-more"));
            pins.say(parts.byTag(RouteWorks.casting(work)), id, RouteWorks.within(work), pin, page.me());
        });
    }
}
