package homalon.app.shop.settings;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopLogos;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.quantity.DayForm;
import homalon.core.rulebook.ShopPaper;
import lombok.RequiredArgsConstructor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** What stands on the shop's papers, and what its tags are printed on. */
@ToOwners
@Controller
@RequestMapping("/shop/settings/paper")
@RequiredArgsConstructor
class PaperSettingsController {
    private final ShopSettings settings;
    private final ShopLogos logos;
    private final Journal journal;

    @GetMapping
    String page(Page page) {
        ShopPaper paper = settings.paper();
        return page(
                page,
                new Keyed(
                        String.join("\n", paper.address()),
                        paper.phone(),
                        paper.mail(),
                        paper.label().name(),
                        paper.sheet().name(),
                        paper.days().name()));
    }

    /** The form as it was keyed. */
    record Keyed(String address, String phone, String mail, String label, String sheet, String days) {
        Keyed {
            address = blank(address);
            phone = blank(phone);
            mail = blank(mail);
            label = blank(label);
            sheet = blank(sheet);
            days = blank(days);
        }

        private static String blank(@Nullable String text) {
            return text == null ? "" : text;
        }
    }

    private String page(Page page, Keyed keyed) {
        page.show("keyed", keyed);
        page.show("labels", ShopPaper.Label.values());
        page.show("sheets", ShopPaper.Sheet.values());
        page.show("forms", DayForm.values());
        page.show("logo", logos.now().orElse(null));
        return "shop/settings/paper";
    }

    @PostMapping
    String keep(Page page, Keyed keyed) {
        try {
            ShopPaper wanted = ShopPaper.read(
                    keyed.address(), keyed.phone(), keyed.mail(), keyed.label(), keyed.sheet(), keyed.days());
            boolean changed = settings.use(wanted, page.me());
            if (changed) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "papers");
            }
            page.show("said", changed ? "This stands on every paper from now on." : "Nothing was changed.");
            return page(page);
        } catch (BadInputException e) {
            page.unprocessable();
            page.show("problems", e.problems());
            return page(page, keyed);
        }
    }
}
