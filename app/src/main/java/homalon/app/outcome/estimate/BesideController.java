package homalon.app.outcome.estimate;

import homalon.app.casting.part.PartPage;
import homalon.app.foundation.opened.ToEverybody;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.input.RefusedInputException;
import homalon.core.money.Other;
import homalon.core.money.OtherForm;
import homalon.core.route.StepKind;
import java.util.UUID;
import lombok.RequiredArgsConstructor;
import org.joda.money.CurrencyUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Another casting beside the one that is here. */
@ToEverybody
@Controller
@RequiredArgsConstructor
class BesideController {
    /** No repair is thought to take so much longer; more is no estimate any more. */
    private static final int MOST_MORE = 40;

    private static final int HOUR = 60;

    private final Estimates estimates;
    private final Others others;
    private final BesideViews views;

    @GetMapping("/parts/{tag}/estimate/beside")
    String page(PartPage page, @RequestParam(defaultValue = "0") String more) {
        return page(page, hours(more), null, OtherForm.EMPTY);
    }

    /** Hours and halves of them; anything else is none. */
    private static double hours(String keyed) {
        return keyed.matches("\\d{1,2}(\\.5|\\.0)?") ? Math.min(MOST_MORE, Double.parseDouble(keyed)) : 0;
    }

    /** @param form one that was refused, to be mended */
    private String page(PartPage page, double more, @Nullable String said, OtherForm form) {
        return page.read(() -> {
            page.show(
                    "view",
                    estimates
                            .now(page.part())
                            .map(g -> views.of(page, g, others.compared(page.part(), g, (int) (HOUR * more))))
                            .orElse(null));
            page.show("more", more % 1 == 0 ? Integer.toString((int) more) : Double.toString(more));
            page.show("mostMore", MOST_MORE);
            page.show("kinds", Other.Kind.values());
            page.show("form", form);
            page.show("said", said);
            page.frame(StepKind.CHOICE);
            return "outcome/estimate/beside";
        });
    }

    private CurrencyUnit currency(PartPage page) {
        return page.read(() -> estimates.now(page.part()))
                .orElseThrow(Estimates::noPrices)
                .estimate()
                .rules()
                .currency();
    }

    @PostMapping("/parts/{tag}/estimate/beside")
    String keep(PartPage page, @RequestParam UUID id, @ModelAttribute OtherForm form) {
        try {
            others.keep(page.part(), id, form.read(currency(page), page.shell().unit()), page.me());
            return page(page, 0, "It is in the table.", OtherForm.EMPTY);
        } catch (BadInputException e) {
            page.unprocessable();
            return page(page, 0, Words.of(e.sentence()), form);
        }
    }

    @PostMapping("/parts/{tag}/estimate/beside/drop")
    String drop(PartPage page, @RequestParam UUID id, @RequestParam UUID other) {
        try {
            others.drop(page.part(), id, other, currency(page), page.me());
            return page(page, 0, "It is off the table.", OtherForm.EMPTY);
        } catch (RefusedInputException e) {
            page.unprocessable();
            return page(page, 0, Words.of(e.sentence()), OtherForm.EMPTY);
        }
    }
}
