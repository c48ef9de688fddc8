package homalon.app.shop.settings;

import homalon.app.foundation.opened.ToOwners;
import homalon.app.foundation.people.Journal;
import homalon.app.foundation.settings.ShopSettings;
import homalon.app.foundation.web.Page;
import homalon.app.foundation.web.Shop;
import homalon.app.foundation.words.Words;
import homalon.core.input.BadInputException;
import homalon.core.quantity.BenchUnit;
import homalon.core.quantity.LengthWriter;
import homalon.core.rulebook.DefaultsForm;
import homalon.core.rulebook.FaceDefaults;
import homalon.core.rulebook.FaceDefaults.Item;
import homalon.core.rulebook.OwnLines;
import homalon.core.rulebook.TagNumbers;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import lombok.RequiredArgsConstructor;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the shop goes by: its name, its unit, and what a face may have where nothing was entered. */
@ToOwners
@Controller
@RequestMapping("/shop/settings")
@RequiredArgsConstructor
class SettingsController {
    private final Shop shop;
    private final ShopSettings settings;
    private final Journal journal;

    /**
     * One figure on the page.
     *
     * @param usual the general value; empty where there is none
     * @param used where it is used
     */
    record Row(String item, String words, String usual, String used, String value, String from) {}

    @GetMapping
    String page(Page page) {
        FaceDefaults now = settings.now();
        return page(page, now, DefaultsForm.of(now, page.unit()), List.of(), null);
    }

    private String page(
            Page page, FaceDefaults now, DefaultsForm form, List<BadInputException.Problem> problems, String said) {
        LengthWriter writer = page.writer();
        page.show(
                "rows",
                Arrays.stream(Item.values()).map(i -> row(i, now, form, writer)).toList());
        page.show("unit", now.unit());
        page.show("units", BenchUnit.values());
        page.show("lines", settings.lines());
        page.show("tags", settings.history().now().tags());
        page.show("problems", problems);
        page.show("said", said);
        return "shop/settings/settings";
    }

    private static Row row(Item item, FaceDefaults now, DefaultsForm form, LengthWriter writer) {
        return new Row(
                item.name(),
                Words.of(item.words()),
                item.usual(now.unit())
                        .map(v -> item.size() ? writer.size(v) : writer.full(v))
                        .orElse("none"),
                Words.of(item.used()),
                form.get(item.name()),
                form.get(item.name() + ".from"));
    }

    @PostMapping("/shop")
    String shop(
            Page page,
            @RequestParam(defaultValue = "") String shopName,
            @RequestParam(defaultValue = "MM") String unit,
            @RequestParam(defaultValue = "") String firstTag) {
        try {
            if (settings.use(TagNumbers.read(firstTag), page.me())) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "tags: " + firstTag.strip());
            }
            if (!shopName.strip().equals(shop.name())) {
                shop.rename(shopName);
                journal.write(Journal.What.SHOP_RENAMED, page.me(), shopName.strip());
            }
        } catch (BadInputException e) {
            page.unprocessable();
            FaceDefaults now = settings.now();
            return page(page, now, DefaultsForm.of(now, page.unit()), e.problems(), null);
        }
        BenchUnit wanted = unit.equals(BenchUnit.THOU.name()) ? BenchUnit.THOU : BenchUnit.MM;
        if (wanted != settings.unit()) {
            settings.useUnit(wanted, page.me());
            journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "unit of the shop: " + wanted.label());
        }
        return "redirect:/shop/settings";
    }

    @PostMapping("/lines")
    String lines(
            Page page,
            @RequestParam(defaultValue = "") String cleaning,
            @RequestParam(defaultValue = "") String leaving) {
        FaceDefaults now = settings.now();
        try {
            OwnLines own = new OwnLines(OwnLines.read("cleaning", cleaning), OwnLines.read("leaving", leaving));
            if (settings.use(own, page.me())) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "lines to tick");
            }
            return "redirect:/shop/settings";
        } catch (BadInputException e) {
            page.unprocessable();
            page.show("cleaning", cleaning);
            page.show("leaving", leaving);
            return page(page, now, DefaultsForm.of(now, page.unit()), e.problems(), null);
        }
    }

    @PostMapping("/limits")
    String limits(Page page, @RequestParam Map<String, String> given) {
        DefaultsForm form = new DefaultsForm(given);
        try {
            int changed = settings.use(form.read(page.unit()), page.me());
            if (changed > 0) {
                journal.write(Journal.What.SETTINGS_CHANGED, page.me(), "limits of faces");
            }
            FaceDefaults now = settings.now();
            return page(
                    page,
                    now,
                    DefaultsForm.of(now, page.unit()),
                    List.of(),
                    changed == 0
                            ? "Nothing was changed."
                            : "These stand from now on. What was handed over keeps the limits of its day.");
        } catch (BadInputException e) {
            page.unprocessable();
            return page(page, settings.now(), form, e.problems(), null);
        }
    }
}
