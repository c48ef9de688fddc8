package homalon.app.shop.settings;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopLogos;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.core.input.BadInputException;
import homalon.core.rulebook.ShopPaper;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

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
                String.join("\n", paper.address()),
                paper.phone(),
                paper.mail(),
                paper.label().name());
    }

    private String page(Page page, String address, String phone, String mail, String label) {
        page.show("address", address);
        page.show("phone", phone);
        page.show("mail", mail);
        page.show("label", label);
        page.show("labels", ShopPaper.Label.values());
        page.show("logo", logos.now().orElse(null));
        return "shop/settings/paper";
    }

    @PostMapping
    String keep(
            Page page,
            @RequestParam(defaultValue = "") String address,
            @RequestParam(defaultValue = "") String phone,
            @RequestParam(defaultValue = "") String mail,
            @RequestParam(defaultValue = "") String label) {
        try {
            boolean changed = settings.use(ShopPaper.read(address, phone, mail, label), page.me());
            if (changed) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "papers");
            }
            page.show("said", changed ? "This stands on every paper from now on." : "Nothing was changed.");
            return page(page);
        } catch (BadInputException e) {
            page.unprocessable();
            page.show("problems", e.problems());
            return page(page, address, phone, mail, label);
        }
    }
}
