package homalon.app.outcome.promises;

import homalon.app.casting.agreed.AgreedBook;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.words.Words;
import homalon.app.outcome.plan.DayPlans;
import homalon.app.outcome.plan.FoundBefore;
import homalon.app.outcome.times.TimeOnIt;
import homalon.core.input.RefusedInputException;
import homalon.core.visit.Owed;
import java.time.LocalDate;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.format.annotation.DateTimeFormat;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** When a casting can be ready, what was promised, what its customer owes and what was said on the phone. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class ReadyController {
    private final ReadyViews views;
    private final AgreedBook agreed;
    private final DayPlans plans;
    private final TimeOnIt times;
    private final FoundBefore before;

    @GetMapping("/parts/{tag}/ready")
    String page(PartPage page) {
        return page(page, planned(page), null);
    }

    /** With a plan that knows the casting: one that was just booked in is planned at once. */
    private DayPlans.Plan planned(PartPage page) {
        DayPlans.Plan plan = plans.now();
        boolean here = page.read(() -> page.part().visit().releasedAt().isEmpty());
        if (here && plan.posted().of(page.tag()).isEmpty()) {
            plans.follow();
            return plans.now();
        }
        return plan;
    }

    private String page(PartPage page, DayPlans.Plan plan, @Nullable String said) {
        return page.read(() -> {
            page.show("view", views.of(page, plan.posted()));
            page.show("kinds", Owed.values());
            page.show("counted", before.castings());
            page.show("said", said);
            page.show("time", times.of(page.part()));
            page.frame();
            return "outcome/promises/ready";
        });
    }

    /** Something that may be refused in a sentence. */
    private interface Wish {
        void fulfil();
    }

    private String doing(PartPage page, String done, Wish wish) {
        String said = done;
        try {
            wish.fulfil();
            plans.follow();
        } catch (RefusedInputException e) {
            page.unprocessable();
            said = Words.of(e.sentence());
        }
        return page(page, plans.now(), said);
    }

    @PostMapping("/parts/{tag}/ready/promise")
    String promise(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) LocalDate day,
            @RequestParam(defaultValue = "") String told) {
        Optional<LocalDate> usual = views.usual(plans.now().posted(), page.tag());
        return doing(
                page,
                "That day is promised.",
                () -> agreed.promise(page.part(), id, new AgreedBook.Day(day, told.strip(), usual), page.me()));
    }

    @PostMapping("/parts/{tag}/ready/owed")
    String owed(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam Owed what,
            @RequestParam(defaultValue = "") String words,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> expected) {
        return doing(
                page,
                "Work that needs it waits for it.",
                () -> agreed.owes(page.part(), id, new AgreedBook.Wanting(what, words.strip(), expected), page.me()));
    }

    @PostMapping("/parts/{tag}/ready/came")
    String came(PartPage page, @RequestParam UUID owed) {
        return doing(
                page, "It is there: work that waited for it goes on.", () -> agreed.came(page.part(), owed, page.me()));
    }

    @PostMapping("/parts/{tag}/ready/call")
    String call(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam(defaultValue = "") String said,
            @RequestParam @DateTimeFormat(iso = DateTimeFormat.ISO.DATE) Optional<LocalDate> again) {
        return doing(page, "The call is written down.", () -> agreed.called(page.part(), id, said, again, page.me()));
    }
}
