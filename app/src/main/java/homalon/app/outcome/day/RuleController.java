package homalon.app.outcome.day;

import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.opened.ToMachinists;
import homalon.app.foundation.web.Blanks;
import homalon.app.foundation.web.Page;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.shop.crew.CrewBook;
import homalon.core.bench.WhatIf;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZonedDateTime;
import java.time.format.DateTimeParseException;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The rule: hours as its marks, with every station or person on it; why a work is not earlier, what if, and a station that is down. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class RuleController {
    private final RulePage rule;
    private final DayPlans plans;
    private final CrewBook crews;
    private final Clock clock;

    @GetMapping("/day/rule")
    String rule(
            Page page,
            @RequestParam(defaultValue = "stations") String by,
            @RequestParam(defaultValue = "1") int days,
            @RequestParam Optional<String> work,
            @ModelAttribute Tried tried) {
        Optional<WhatIf> what = tried.what(LocalDate.ofInstant(clock.instant(), DayWords.zone()));
        DayPlans.Plan plan = what.map(w -> new DayPlans.Plan(plans.tried(w), Optional.of(clock.instant())))
                .orElseGet(plans::now);
        page.show("tried", what.isPresent());
        return rule.show(page, new RulePage.Look(by, days, work), plan);
    }

    /**
     * What if, as it stands in an address; what is empty, or is no day, is not tried.
     *
     * @param until the last day, as a browser writes it
     */
    record Tried(
            @Nullable String down,
            @Nullable String away,
            @Nullable String rush,
            @Nullable String later,
            @Nullable String until) {
        Optional<WhatIf> what(LocalDate today) {
            LocalDate last;
            try {
                last = Blanks.of(until).isBlank()
                        ? today
                        : LocalDate.parse(Blanks.of(until).strip());
            } catch (DateTimeParseException e) {
                last = today;
            }
            boolean odd = last.isBefore(today) || last.isAfter(today.plusYears(1));
            WhatIf what = new WhatIf(said(down), said(away), said(rush), said(later), odd ? today : last);
            return what.nothing() ? Optional.empty() : Optional.of(what);
        }

        private static Optional<String> said(@Nullable String one) {
            return Optional.of(Blanks.of(one).strip()).filter(s -> !s.isEmpty());
        }
    }

    /** A station cannot be used from now on; the day is planned anew at once. */
    @ToMachinists
    @PostMapping("/day/down")
    String down(
            Page page,
            @RequestParam UUID id,
            @RequestParam String station,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE_TIME) Optional<LocalDateTime> to,
            @RequestParam(defaultValue = "") String why) {
        return rule.changed(
                page,
                RulePage.Look.USUAL,
                "The day is planned without it.",
                () -> crews.down(
                        id,
                        station,
                        to.map(t -> t.atZone(DayWords.zone())).map(ZonedDateTime::toInstant),
                        why,
                        page.me()));
    }

    @ToMachinists
    @PostMapping("/day/up")
    String up(Page page, @RequestParam UUID down) {
        return rule.changed(page, RulePage.Look.USUAL, "The day is planned with it again.", () -> crews.up(down));
    }
}
