package homalon.app.outcome.estimate;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.core.input.RefusedInputException;
import homalon.core.money.Choice;
import homalon.core.money.Estimate;
import homalon.core.route.Finding;
import homalon.core.route.StepKind;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a casting comes to, and what its customer says to that. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class EstimateController {
    private final EstimateViews views;
    private final Estimates estimates;

    @GetMapping("/parts/{tag}/estimate")
    String page(PartPage page) {
        return page(page, null, Estimates.Keyed.NOTHING);
    }

    /** @param keyed a choice that was refused, to be mended */
    private String page(PartPage page, @Nullable String said, Estimates.Keyed keyed) {
        return page.read(() -> {
            page.show("view", views.of(page).orElse(null));
            page.show("stands", Estimate.Stand.values());
            page.show("choices", Choice.values());
            page.show(
                    "means",
                    Arrays.stream(Choice.By.values())
                            .filter(m -> m != Choice.By.PAGE)
                            .toList());
            page.show("said", said);
            page.show("keyed", keyed);
            page.frame(StepKind.CHOICE);
            return "outcome/estimate/estimate";
        });
    }

    /** One as it was shown. */
    @GetMapping("/parts/{tag}/estimate/{no}")
    String shown(PartPage page, @PathVariable int no) {
        return page.read(() -> {
            Estimates.Version version = estimates.shown(page.part()).stream()
                    .filter(v -> v.no() == no)
                    .findFirst()
                    .orElseThrow(() -> new NotHereException("No estimate of that number was shown: go back to it."));
            page.show("version", version);
            page.show("when", page.shell().days().brief(LocalDate.ofInstant(version.at(), ZoneId.systemDefault())));
            page.frame(StepKind.CHOICE);
            return "outcome/estimate/shown";
        });
    }

    /** Something that may be refused in a sentence. */
    private interface Wish {
        void fulfil();
    }

    private String doing(PartPage page, String done, Wish wish) {
        return doing(page, done, Estimates.Keyed.NOTHING, wish);
    }

    private String doing(PartPage page, String done, Estimates.Keyed keyed, Wish wish) {
        try {
            wish.fulfil();
            return page(page, done, Estimates.Keyed.NOTHING);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, Words.of(e.sentence()), keyed);
        }
    }

    @PostMapping("/parts/{tag}/estimate/line")
    String line(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam String key,
            @RequestParam Estimate.Stand stand,
            @RequestParam(defaultValue = "") String amount) {
        return doing(
                page,
                "That line stands like this from now on.",
                () -> estimates.say(page.part(), id, key, stand, amount, page.me()));
    }

    /** Keeps what the customer is shown, and holds work back until there is a choice. */
    @PostMapping("/parts/{tag}/estimate/ask")
    String ask(PartPage page, @RequestParam UUID id) {
        return doing(
                page,
                "No more work is begun before the customer has said how it goes on.",
                () -> estimates.ask(page.part(), id, Finding.CHOICE_ASKED, page.me()));
    }

    @PostMapping("/parts/{tag}/estimate/choice")
    String choice(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam Choice choice,
            @RequestParam Choice.By means,
            @RequestParam(defaultValue = "") String who,
            @RequestParam(defaultValue = "") String upTo,
            @RequestParam(defaultValue = "") String words,
            @RequestParam(defaultValue = "") String mark,
            @RequestParam(defaultValue = "0") int known) {
        Estimates.Keyed keyed = new Estimates.Keyed(choice, means, who, upTo, words, mark, known);
        return doing(
                page,
                choice.goesOn() ? "Work goes on." : "No more work is done to it: it may leave as it is.",
                keyed,
                () -> estimates.choose(page.part(), id, keyed, page.me()));
    }
}
