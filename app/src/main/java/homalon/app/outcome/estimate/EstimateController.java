package homalon.app.outcome.estimate;

import homalon.app.casting.agreed.ChoiceBook;
import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.web.NotHereException;
import homalon.app.foundation.words.Words;
import homalon.core.input.RefusedInputException;
import homalon.core.money.Amounts;
import homalon.core.money.Choice;
import homalon.core.money.Estimate;
import homalon.core.route.Finding;
import homalon.core.route.StepKind;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Optional;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.joda.money.Money;
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
    private final ChoiceBook choices;

    @GetMapping("/parts/{tag}/estimate")
    String page(PartPage page) {
        return page(page, null);
    }

    private String page(PartPage page, @Nullable String said) {
        return page.read(() -> {
            page.show("view", views.of(page).orElse(null));
            page.show("stands", Estimate.Stand.values());
            page.show("choices", Choice.values());
            page.show("means", Choice.By.values());
            page.show("said", said);
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
        try {
            wish.fulfil();
            return page(page, done);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, Words.of(e.sentence()));
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
        return doing(page, "No more work is begun before the customer has said how it goes on.", () -> {
            estimates.show(page.part(), page.me());
            choices.ask(page.part(), id, Finding.CHOICE_ASKED, page.me());
        });
    }

    @PostMapping("/parts/{tag}/estimate/choice")
    String choice(
            PartPage page,
            @RequestParam UUID id,
            @RequestParam Choice choice,
            @RequestParam Choice.By means,
            @RequestParam(defaultValue = "") String who,
            @RequestParam(defaultValue = "") String upTo,
            @RequestParam(defaultValue = "") String words) {
        return doing(
                page,
                choice.goesOn() ? "Work goes on." : "No more work is done to it: it may leave as it is.",
                () -> choices.choose(
                        page.part(),
                        id,
                        part -> {
                            Estimates.Version version = estimates.show(part, page.me());
                            Optional<Money> most = Amounts.readIfAny(
                                    upTo, CurrencyUnit.of(version.shown().currency()), "upTo");
                            return new ChoiceBook.Said(
                                    version.id(),
                                    choice,
                                    means,
                                    most.map(Money::getAmount),
                                    who.strip(),
                                    words.strip());
                        },
                        page.me()));
    }
}
