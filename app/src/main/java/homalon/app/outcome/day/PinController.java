package homalon.app.outcome.day;

import homalon.app.casting.part.Parts;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Page;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.outcome.plan.PinBook;
import homalon.core.bench.Pin;
import homalon.core.bench.Posted;
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

    /** The work that it is about, and how the rule is looked at meanwhile. */
    record On(
            UUID id,
            String work,
            @Nullable String by,
            @Nullable Integer days) {
        RulePage.Look look() {
            return new RulePage.Look(Blanks.of(by), days == null ? 1 : days, Optional.of(work));
        }
    }

    /** It begins at that time, there and in those hands; empty for any. */
    @PostMapping("/day/pin")
    String pin(
            Page page,
            @ModelAttribute On on,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE_TIME) LocalDateTime at,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String person) {
        Instant begins = at.atZone(DayWords.zone()).toInstant();
        Pin pin = new Pin(Optional.of(begins), Optional.empty(), said(station), said(person));
        return say(page, on, pin, "Pinned: the rest is planned around it.");
    }

    /** It is done there, by that person, whenever there is room. */
    @PostMapping("/day/send")
    String send(
            Page page,
            @ModelAttribute On on,
            @RequestParam(defaultValue = "") String station,
            @RequestParam(defaultValue = "") String person) {
        Pin pin = new Pin(Optional.empty(), Optional.empty(), said(station), said(person));
        return say(
                page,
                on,
                pin,
                pin.none() ? "No station and nobody is said for it now." : "Sent: the rest is planned around it.");
    }

    @PostMapping("/day/hold")
    String hold(
            Page page,
            @ModelAttribute On on,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day) {
        Instant from = day.atStartOfDay(DayWords.zone()).toInstant();
        Pin pin = new Pin(Optional.empty(), Optional.of(from), Optional.empty(), Optional.empty());
        return say(page, on, pin, "Held: it is not begun before.");
    }

    @PostMapping("/day/unpin")
    String unpin(Page page, @ModelAttribute On on) {
        return say(page, on, Pin.NONE, "The pin is off: it is planned as all else.");
    }

    private static Optional<String> said(String one) {
        return Optional.of(one.strip()).filter(o -> !o.isEmpty());
    }

    private String say(Page page, On on, Pin pin, String done) {
        return rule.changed(page, on.look(), done, () -> {
            Posted.Line line = plans.now()
                    .posted()
                    .line(on.work())
                    .orElseThrow(() -> new BadInputException("work", "app.plan.that-is-not-planned-any-more"));
            String work = line.told().work();
            pins.say(parts.byTag(RouteWorks.casting(work)), on.id(), RouteWorks.within(work), pin, page.me());
        });
    }
}
